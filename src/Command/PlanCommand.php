<?php

declare(strict_types=1);

namespace App\Command;

use App\Export\PlanJson;
use App\Export\PlanText;
use App\Service\FileShelf;
use App\Service\ShippedFiles;
use FeastLadle\Document\Faults;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Document\JsonText;
use FeastLadle\Feast\FeastReader;
use FeastLadle\Kitchen\KitchenReader;
use FeastLadle\Planning\FeastPlanner;
use FeastLadle\Recipe\RecipeReader;
use FeastLadle\Schedule\Budget;
use Psr\Clock\ClockInterface;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('ladle:plan', 'Plans a feast file without a database: amounts, pots, stores and run sheet.')]
final class PlanCommand extends Command
{
    private const FORMATS = ['text', 'json'];

    public function __construct(
        private readonly FeastPlanner $planner,
        private readonly KitchenReader $kitchens,
        private readonly RecipeReader $recipes,
        private readonly ShippedFiles $files,
        private readonly PlanJson $json,
        private readonly PlanText $text,
        private readonly ClockInterface $clock,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this
            ->addArgument('file', InputArgument::REQUIRED, 'A feast document; its kitchen and recipes may stand in it')
            ->addOption('format', null, InputOption::VALUE_REQUIRED, implode(' or ', self::FORMATS), 'text', self::FORMATS)
            ->addOption('kitchen', null, InputOption::VALUE_REQUIRED, 'A kitchen document, when the feast holds none (default: the demo kitchen)')
            ->addOption('budget-ms', null, InputOption::VALUE_REQUIRED, 'Time for improving the schedule; as long as suits the feast unless said')
            ->setHelp(<<<'HELP'
                  <info>bin/console ladle:plan data/feasts/new-roof.json</info>
                  <info>bin/console ladle:plan feast.json --kitchen=kitchen.json --format=json</info>

                Exit status: 0 everything in time, 1 something is late or left out, 2 not a valid feast (faults on standard error).
                HELP);
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $option = static function (string $name) use ($input): string {
            $value = $input->getOption($name);

            return \is_string($value) ? $value : '';
        };
        try {
            if (!\in_array($option('format'), self::FORMATS, true)) {
                throw FaultyDocument::because('option', '--format takes {known}, not "{given}".', ['known' => implode(' or ', self::FORMATS), 'given' => $option('format')]);
            }
            $budget = '' === $option('budget-ms') ? null : filter_var($option('budget-ms'), \FILTER_VALIDATE_INT, ['options' => ['min_range' => 0, 'max_range' => 3_600_000]]);
            if (false === $budget) {
                throw FaultyDocument::because('option', '--budget-ms takes a whole number, not "{given}".', ['given' => $option('budget-ms')]);
            }
            $path = $input->getArgument('file');
            $faults = new Faults();
            $root = JsonText::decode(Reading::file(\is_string($path) ? $path : '', 'feast'), 'feast', $faults);
            $kitchen = match (true) {
                $root->has('kitchen') => $this->kitchens->fromNode($root->at('kitchen')),
                '' !== $option('kitchen') => $this->kitchens->read(Reading::file($option('kitchen'), 'kitchen')),
                default => $this->kitchens->read($this->files->kitchen('kumbhar-lane')),
            };
            $shelf = new FileShelf($this->recipes, $this->files, $root->at('recipes')->items(50), $faults);
            $feast = (new FeastReader($kitchen, $shelf))->fromNode($root, $faults, $this->clock->now());
        } catch (FaultyDocument $faulty) {
            return Reading::tell($faulty, $output);
        }
        $plan = $this->planner->plan($feast, $kitchen, null, null === $budget ? null : Budget::milliseconds($budget));
        $output->writeln('json' === $option('format') ? $this->json->write($feast, $kitchen, $plan) : $this->text->write($feast, $kitchen, $plan), OutputInterface::OUTPUT_RAW);

        return $plan->isOnTime() ? Command::SUCCESS : Command::FAILURE;
    }
}
