<?php

declare(strict_types=1);

namespace App\Command;

use App\Service\Setup;
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
            || is_file($this->place.'/feast-ladle.sqlite')
        ) {
            return;
        }
        if (!is_dir($this->place) && !@mkdir($this->place, 0o777, true) && !is_dir($this->place)) {
            throw new \RuntimeException(\sprintf('No folder for the book can be made at %s. Name another with DATA_DIR.', $this->place));
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
}
