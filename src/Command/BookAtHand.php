<?php

declare(strict_types=1);

namespace App\Command;

use App\Service\Setup;
use Doctrine\DBAL\Connection;
use Symfony\Component\Console\Command\LazyCommand;
use Symfony\Component\Console\ConsoleEvents;
use Symfony\Component\Console\Event\ConsoleCommandEvent;
use Symfony\Component\Console\Input\ArrayInput;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\NullOutput;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;

/** Lays out a new book with the shipped recipes where a command needs one and the place for data is still empty. */
#[AsEventListener(ConsoleEvents::COMMAND)]
final readonly class BookAtHand
{
    public function __construct(
        private Setup $setup,
        private Connection $connection,
        #[Autowire('%app.data_dir%')] private string $place,
        #[Autowire('%kernel.environment%')] private string $environment,
    ) {
    }

    public function __invoke(ConsoleCommandEvent $event): void
    {
        $command = $event->getCommand();
        if ($command instanceof LazyCommand) {
            $command = $command->getCommand();
        }
        $application = $command?->getApplication();
        if (
            !($command instanceof UsesTheBook)
            || null === $application
            || 'test' === $this->environment
            || $this->isLaidOut()
        ) {
            return;
        }
        $migrations = new ArrayInput(['--allow-no-migration' => true]);
        $migrations->setInteractive(false);
        $application->find('doctrine:migrations:migrate')->run($migrations, new NullOutput());
        $this->setup->run(false);
        $output = $event->getOutput();
        ($output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output)->writeln(
            \sprintf('A new book was laid out in %s.', $this->place),
        );
    }

    /** A folder, even a database, may be there already; what counts are the tables. */
    private function isLaidOut(): bool
    {
        if (!is_dir($this->place) && !@mkdir($this->place, 0o700, true) && !is_dir($this->place)) {
            throw new \RuntimeException(\sprintf('No folder for the book can be made at %s. Name another with DATA_DIR.', $this->place));
        }

        return $this->connection->createSchemaManager()->tablesExist(['kitchen', 'feast', 'recipe']);
    }
}
