<?php

declare(strict_types=1);

namespace App\Command;

use App\Service\RecipeBook;
use FeastLadle\Checking\RecipeChecker;
use FeastLadle\Checking\Severity;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Recipe\RecipeReader;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('ladle:recipe:check', 'Checks a recipe file: what cannot be cooked, and what is missing or risky.')]
final class RecipeCheckCommand extends Command implements UsesTheBook
{
    public function __construct(
        private readonly RecipeReader $reader,
        private readonly RecipeChecker $checker,
        private readonly RecipeBook $book,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('file', InputArgument::REQUIRED, 'A recipe document; it is checked by every way it allows')->setHelp(<<<'HELP'
                      <info>bin/console ladle:recipe:check recipe.json</info>

                    Exit status: 0 no errors (warnings may be printed), 1 errors, 2 unreadable (faults on standard error).
                    HELP);
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        try {
            $path = $input->getArgument('file');
            $recipes = $this->reader->readEvery(Reading::file(\is_string($path) ? $path : '', 'recipe'), $this->book);
        } catch (FaultyDocument $faulty) {
            return Reading::tell($faulty, $output);
        }
        $errors = 0;
        $said = [];
        foreach ($recipes as $recipe) {
            foreach ($this->checker->check($recipe) as $finding) {
                $line = \sprintf(
                    '%s: step "%s": %s %s',
                    $finding->severity->value,
                    $finding->step,
                    $finding->reason->text(),
                    $finding->advice->text(),
                );
                // What holds by every way is said once.
                if (!isset($said[$line])) {
                    $said[$line] = true;
                    $errors += Severity::Error === $finding->severity ? 1 : 0;
                    $output->writeln(
                        $line.([] === $recipe->way->choices->schools ? '' : ' ['.implode(', ', $recipe->way->options).']'),
                        OutputInterface::OUTPUT_RAW,
                    );
                }
            }
        }

        return 0 === $errors ? Command::SUCCESS : Command::FAILURE;
    }
}
