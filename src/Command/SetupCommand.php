<?php

declare(strict_types=1);

namespace App\Command;

use App\Service\Setup;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('ladle:setup', 'Puts a kitchen and the shipped recipes into an empty database; changes nothing that is there.')]
final class SetupCommand extends Command
{
    public function __construct(private readonly Setup $setup)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addOption('demo', null, InputOption::VALUE_NONE, 'Also the demo kitchen and its feast');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $this->setup->run(true === $input->getOption('demo'));

        return Command::SUCCESS;
    }
}
