<?php

declare(strict_types=1);

namespace App\Command;

use App\Entity\RecipeDraft;
use App\Import\Intake;
use FeastLadle\Document\FaultyDocument;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('ladle:recipe:import', 'Takes a recipe in: our own JSON into the book; JSON-LD, a page or a text onto the writing desk.')]
final class RecipeImportCommand extends Command implements UsesTheBook
{
    public function __construct(private readonly Intake $intake)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('file', InputArgument::REQUIRED, 'A recipe: json, jsonld, html or txt')->setHelp(<<<'HELP'
                      <info>bin/console ladle:recipe:import recipe.json</info>
                      <info>bin/console ladle:recipe:import told.txt</info>

                    A document of our own, also inside JSON-LD that this program wrote, becomes a revision. Anything else becomes a
                    draft; what it left
                    open is printed on standard error. Exit status: 0 taken in, 2 unreadable (faults on standard error; nothing was
                    changed).
                    HELP);
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        try {
            $path = $input->getArgument('file');
            $taken = $this->intake->take(Reading::file(\is_string($path) ? $path : '', 'recipe'));
        } catch (FaultyDocument $faulty) {
            return Reading::tell($faulty, $output);
        }
        if (!$taken instanceof RecipeDraft) {
            $output->writeln(
                \sprintf('%s, revision %d', $taken->getRecipe()->getSlug(), $taken->getNumber()),
                OutputInterface::OUTPUT_RAW,
            );

            return Command::SUCCESS;
        }
        $output->writeln(\sprintf('draft %d', $taken->getId() ?? 0), OutputInterface::OUTPUT_RAW);
        $aside = $output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output;
        $open = json_decode($taken->getQuestions(), true, 16, \JSON_THROW_ON_ERROR);
        foreach (\is_array($open) ? $open : [] as $row) {
            if (\is_array($row) && true !== ($row['guess'] ?? null) && \is_string($row['text'] ?? null)) {
                $aside->writeln('? '.$row['text'], OutputInterface::OUTPUT_RAW);
            }
        }

        return Command::SUCCESS;
    }
}
