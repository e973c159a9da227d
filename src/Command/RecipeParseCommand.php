<?php

declare(strict_types=1);

namespace App\Command;

use App\Import\Intake;
use FeastLadle\Asking\Asked;
use FeastLadle\Asking\FiveQuestions;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Drafting\OpenPoint;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('ladle:recipe:parse', 'Prints what a told or pasted recipe is understood as, with guesses and questions. Saves nothing.')]
final class RecipeParseCommand extends Command implements UsesTheBook
{
    public function __construct(private readonly Intake $intake, private readonly FiveQuestions $questions)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('file', InputArgument::REQUIRED, 'A text, a page, or JSON-LD')->setHelp(<<<'HELP'
                      <info>bin/console ladle:recipe:parse told.txt</info>

                    Prints JSON: draft (a recipe document), questions (what matters most first) and guesses, each with the JSON pointer
                    of its place and the words it is about, and what was read of each sentence.
                    Exit status: 0 understood, 2 unreadable.
                    HELP);
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        try {
            $path = $input->getArgument('file');
            $told = $this->intake->parse(Reading::file(\is_string($path) ? $path : '', 'text'));
        } catch (FaultyDocument $faulty) {
            return Reading::tell($faulty, $output);
        }
        $heard = $told->heard;
        $row = static fn (OpenPoint $open): array => [
            'place' => $open->place,
            'text' => $open->text(),
            ...(null === $open->about || $open->about[0] < 0 ? [] : ['words' => $heard->text->words(...$open->about)]),
        ];
        $output->writeln(
            json_encode(
                [
                    'draft' => $told->draft->document(),
                    'questions' => array_map(
                        static fn (Asked $a): array => [...$row($a->point), 'effect' => $a->effect?->text()],
                        $this->questions->of($told),
                    ),
                    'guesses' => array_map($row, $told->guesses),
                    'read' => HeardAsJson::of($heard),
                ],
                \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES,
            ),
            OutputInterface::OUTPUT_RAW,
        );

        return Command::SUCCESS;
    }
}
