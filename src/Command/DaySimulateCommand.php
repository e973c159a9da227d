<?php

declare(strict_types=1);

namespace App\Command;

use App\Export\DaySimulationJson;
use FeastLadle\Day\Simulator;
use FeastLadle\Day\SlipRate;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Larder\Larder;
use FeastLadle\Schedule\SolutionStatus;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Helper\ProgressBar;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('ladle:day:simulate', 'Cooks a feast file through many times, planned anew as it goes and by its first plan alone.')]
final class DaySimulateCommand extends Command
{
    private const MOST_RUNS = 100_000;
    private const FORMATS = ['text', 'json'];

    public function __construct(
        private readonly FeastFiles $feasts,
        private readonly Larder $larder,
        private readonly DaySimulationJson $json,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('feast', InputArgument::REQUIRED, 'A feast document; its kitchen and recipes may stand in it')
            ->addOption('seed', null, InputOption::VALUE_REQUIRED, 'Of what is drawn', '1')
            ->addOption('runs', null, InputOption::VALUE_REQUIRED, 'So many days', '1000')
            ->addOption(
                'slips',
                null,
                InputOption::VALUE_REQUIRED,
                'What goes wrong beside the time: none, usual (2 of 100 steps) or many (8)',
                SlipRate::None->value,
                array_map(static fn (SlipRate $r): string => $r->value, SlipRate::cases()),
            )
            ->addOption('format', null, InputOption::VALUE_REQUIRED, implode(' or ', self::FORMATS), 'json', self::FORMATS)
            ->addOption('kitchen', null, InputOption::VALUE_REQUIRED, 'A kitchen document, when the feast holds none')
            ->setHelp(
                <<<'HELP'
                  <info>bin/console ladle:day:simulate data/feasts/new-roof.json --runs=100 --format=text</info>

                Steps last as long as is drawn for each run; what goes wrong is drawn, too, and the way of least harm is taken.
                Exit status: 0 every rule held, 1 one was broken, 2 a faulty file (faults on standard error).
                HELP,
            );
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        try {
            $format = self::text($input->getOption('format'));
            if (!\in_array($format, self::FORMATS, true)) {
                throw FaultyDocument::because('option', '--format takes {known}, not "{given}".', [
                    'known' => implode(' or ', self::FORMATS),
                    'given' => $format,
                ]);
            }
            $slips = SlipRate::tryFrom(self::text($input->getOption('slips'))) ?? throw FaultyDocument::because(
                'option',
                '--slips takes none, usual or many, not "{given}".',
                ['given' => self::text($input->getOption('slips'))],
            );
            $runs = self::number('runs', $input->getOption('runs'), 1, self::MOST_RUNS);
            $seed = self::number('seed', $input->getOption('seed'), 0, \PHP_INT_MAX);
            [$feast, $kitchen] = $this->feasts->read(self::text($input->getArgument('feast')), self::text($input->getOption('kitchen')));
            $plan = $this->feasts->plan($feast, $kitchen);
            if (SolutionStatus::Feasible !== $plan->solution->status) {
                throw FaultyDocument::because('feast', 'There is no plan for this feast, so that nothing can be said of its day.');
            }
        } catch (FaultyDocument $faulty) {
            return Reading::tell($faulty, $output);
        }
        $errors = $output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : null;
        $bar = null !== $errors && $errors->isDecorated() ? new ProgressBar($errors, $runs) : null;
        $simulator = new Simulator($feast, $kitchen, $this->larder, $plan, static fn (): float => hrtime(true) / 1e6, $slips);
        $report = $simulator->run($runs, $seed, static function (int $done) use ($bar): void {
            $bar?->setProgress($done);
        });
        $bar?->clear();
        $output->write(
            'json' === $format ? $this->json->write($report)."\n" : $this->json->words($report),
            false,
            OutputInterface::OUTPUT_RAW,
        );

        return [] === $report->violations ? Command::SUCCESS : Command::FAILURE;
    }

    private static function text(mixed $given): string
    {
        return \is_string($given) ? $given : '';
    }

    /** @throws FaultyDocument */
    private static function number(string $option, mixed $given, int $least, int $most): int
    {
        $number = filter_var($given, \FILTER_VALIDATE_INT, ['options' => ['min_range' => $least, 'max_range' => $most]]);

        return \is_int($number)
            ? $number
            : throw FaultyDocument::because('option', '--{option} takes a whole number from {least} on, not "{given}".', [
                'option' => $option,
                'least' => $least,
                'given' => self::text($given),
            ]);
    }
}
