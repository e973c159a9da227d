<?php

declare(strict_types=1);

use App\Kernel;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Component\Console\Input\ArrayInput;
use Symfony\Component\Console\Output\NullOutput;
use Symfony\Component\Dotenv\Dotenv;
use Symfony\Component\Filesystem\Filesystem;

require dirname(__DIR__).'/vendor/autoload.php';

(new Dotenv())->bootEnv(dirname(__DIR__).'/.env');

// A database for the application tests of each process, made by the migrations and filled by the shipped set-up; each test is rolled back.
$root = dirname(__DIR__);
$process = (string) getenv('TEST_TOKEN');
$_SERVER['APP_CACHE_DIR'] = $root.'/var/cache'.('' === $process ? '' : '/process-'.$process);
foreach (['', '-wal', '-shm'] as $suffix) {
    @unlink($root.'/var/test'.$process.'.sqlite'.$suffix);
}
(new Filesystem())->remove($_SERVER['APP_CACHE_DIR'].'/test');
$kernel = new Kernel('test', false);
$kernel->boot();
$application = new Application($kernel);
$application->setAutoExit(false);
foreach ([['doctrine:migrations:migrate', '--no-interaction' => true], ['ladle:setup', '--demo' => true]] as $command) {
    $status = $application->run(new ArrayInput(['command' => $command[0]] + array_diff_key($command, [0 => true])), new NullOutput());
    if (0 !== $status) {
        fwrite(\STDERR, 'Setting up the test database failed at '.$command[0].\PHP_EOL);
        exit(1);
    }
}
$kernel->shutdown();
