<?php

declare(strict_types=1);

namespace App\Command;

use App\Service\RecipeBook;
use FeastLadle\Document\FaultyDocument;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('ladle:recipe:import', 'Takes a recipe file into the book, as a new recipe or a new revision.')]
final class RecipeImportCommand extends Command
{
    public function __construct(private readonly RecipeBook $book)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('file', InputArgument::REQUIRED, 'A recipe document')->setHelp("  <info>bin/console ladle:recipe:import recipe.json</info>\n\nExit status: 0 taken in, 2 unreadable (faults on standard error; the book is as it was).");
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        try {
            $path = $input->getArgument('file');
            $revision = $this->book->import(Reading::file(\is_string($path) ? $path : '', 'recipe'));
        } catch (FaultyDocument $faulty) {
            return Reading::tell($faulty, $output);
        }
        $output->writeln(\sprintf('%s, revision %d', $revision->getRecipe()->getSlug(), $revision->getNumber()), OutputInterface::OUTPUT_RAW);

        return Command::SUCCESS;
    }
}
