<?php

declare(strict_types=1);

namespace App\Command;

use FeastLadle\Document\FaultyDocument;
use FeastLadle\Numbers\Figure;
use FeastLadle\Numbers\Input;
use FeastLadle\Numbers\LawBook;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('ladle:number', 'Computes one law of the kitchen from its inputs, to hold against a table of your own.')]
final class NumberCommand extends Command
{
    protected function configure(): void
    {
        $this->addArgument('name', InputArgument::OPTIONAL, 'Which law')
            ->addOption('json', null, InputOption::VALUE_REQUIRED, 'Its inputs, as a JSON object', '{}')
            ->addOption('list', null, InputOption::VALUE_NONE, 'All laws with their inputs')
            ->setHelp(<<<'HELP'
                      <info>bin/console ladle:number --list</info>
                      <info>bin/console ladle:number spare --json '{"uptake": 0.75, "guests": 240}'</info>

                    Prints JSON: each figure with its unit; null is "never".
                    Exit status: 0 computed, 2 no such law or a faulty input, its JSON pointer on standard error.
                    HELP);
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $laws = LawBook::all();
        if (true === $input->getOption('list')) {
            foreach ($laws as $law) {
                $output->writeln(
                    [
                        $law->name.': '.$law->title,
                        '    '.$law->formula,
                        ...array_map(static fn (Input $i): string => '    - '.$i->told(), $law->inputs),
                        '',
                    ],
                    OutputInterface::OUTPUT_RAW,
                );
            }

            return Command::SUCCESS;
        }
        $name = $input->getArgument('name');
        $json = $input->getOption('json');
        $law = $laws[\is_string($name) ? $name : ''] ?? null;
        try {
            $figures =
                null === $law
                    ? throw FaultyDocument::because('numbers', 'There is no law "{name}"; --list shows them all.', [
                        'name' => mb_substr(\is_string($name) ? $name : '', 0, 40),
                    ])
                    : $law->of(\is_string($json) ? $json : '');
        } catch (FaultyDocument $faulty) {
            return Reading::tell($faulty, $output);
        }
        $output->writeln(
            json_encode(
                array_combine(
                    array_map(static fn (Figure $f): string => $f->name, $figures),
                    array_map(
                        static fn (Figure $f): array => '' === $f->unit
                            ? ['value' => $f->value]
                            : ['value' => $f->value, 'unit' => $f->unit],
                        $figures,
                    ),
                ),
                \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE,
            ),
            OutputInterface::OUTPUT_RAW,
        );

        return Command::SUCCESS;
    }
}
