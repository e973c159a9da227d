<?php

declare(strict_types=1);

namespace App\Command;

use App\Export\PlanCalendar;
use App\Export\PlanCsv;
use App\Export\PlanJson;
use App\Export\PlanText;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Schedule\Budget;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('ladle:plan', 'Plans a feast file without a database: amounts, pots, stores and run sheet.')]
final class PlanCommand extends Command
{
    private const FORMATS = ['text', 'json', 'csv', 'ics'];

    public function __construct(
        private readonly FeastFiles $feasts,
        private readonly PlanJson $json,
        private readonly PlanText $text,
        private readonly PlanCsv $csv,
        private readonly PlanCalendar $calendar,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('file', InputArgument::REQUIRED, 'A feast document; its kitchen and recipes may stand in it')
            ->addOption('format', null, InputOption::VALUE_REQUIRED, implode(' or ', self::FORMATS), 'text', self::FORMATS)
            ->addOption(
                'kitchen',
                null,
                InputOption::VALUE_REQUIRED,
                'A kitchen document, when the feast holds none (default: the shipped kitchen its people work in)',
            )
            ->addOption('person', null, InputOption::VALUE_REQUIRED, 'Only the steps of one person, by id; for ics')
            ->addOption(
                'budget-ms',
                null,
                InputOption::VALUE_REQUIRED,
                'Time for improving the schedule; as long as suits the feast unless said',
            )
            ->setHelp(
                <<<'HELP'
                  <info>bin/console ladle:plan data/feasts/new-roof.json</info>
                  <info>bin/console ladle:plan feast.json --kitchen=kitchen.json --format=json</info>
                  <info>bin/console ladle:plan data/feasts/boat-lamp.json --format=ics --person=ila</info>

                Exit status: 0 everything in time, 1 something is late or left out, 2 not a valid feast (faults on standard error).
                HELP,
            );
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $option = static function (string $name) use ($input): string {
            $value = $input->getOption($name);

            return \is_string($value) ? $value : '';
        };
        try {
            if (!\in_array($option('format'), self::FORMATS, true)) {
                throw FaultyDocument::because('option', '--format takes {known}, not "{given}".', [
                    'known' => implode(' or ', self::FORMATS),
                    'given' => $option('format'),
                ]);
            }
            $budget =
                '' === $option('budget-ms')
                    ? null
                    : filter_var($option('budget-ms'), \FILTER_VALIDATE_INT, ['options' => ['min_range' => 0, 'max_range' => 3_600_000]]);
            if (false === $budget) {
                throw FaultyDocument::because('option', '--budget-ms takes a whole number, not "{given}".', [
                    'given' => $option('budget-ms'),
                ]);
            }
            $path = $input->getArgument('file');
            [$feast, $kitchen] = $this->feasts->read(\is_string($path) ? $path : '', $option('kitchen'));
            if ('' !== $option('person') && !isset($kitchen->people[$option('person')])) {
                throw FaultyDocument::because('option', '--person: nobody called "{given}" works in this kitchen; there are: {known}.', [
                    'given' => $option('person'),
                    'known' => implode(', ', array_keys($kitchen->people)),
                ]);
            }
        } catch (FaultyDocument $faulty) {
            return Reading::tell($faulty, $output);
        }
        $plan = $this->feasts->plan($feast, $kitchen, null === $budget ? null : Budget::milliseconds($budget));
        $output->write(
            match ($option('format')) {
                'json' => $this->json->write($feast, $kitchen, $plan)."\n",
                'csv' => $this->csv->write($feast, $kitchen, $plan),
                // The same file keeps its events' ids, so that a later calendar moves them.
                'ics' => $this->calendar->write(
                    $feast,
                    $kitchen,
                    $plan,
                    '' === $option('person') ? null : $option('person'),
                    crc32($feast->name),
                ),
                default => $this->text->write($feast, $kitchen, $plan)."\n",
            },
            false,
            OutputInterface::OUTPUT_RAW,
        );

        return $plan->isOnTime() ? Command::SUCCESS : Command::FAILURE;
    }
}
