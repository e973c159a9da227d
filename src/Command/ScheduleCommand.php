<?php

declare(strict_types=1);

namespace App\Command;

use FeastLadle\Document\FaultyDocument;
use FeastLadle\Schedule\Audit;
use FeastLadle\Schedule\Budget;
use FeastLadle\Schedule\ProblemReader;
use FeastLadle\Schedule\ProblemWriter;
use FeastLadle\Schedule\SolutionStatus;
use FeastLadle\Schedule\Solver;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('ladle:schedule', 'Solves a schedule problem file and prints the solution as JSON.')]
final class ScheduleCommand extends Command
{
    /** Nothing was found, and nothing proven. */
    private const UNKNOWN = 3;

    public function __construct(private readonly ProblemReader $reader)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('file', InputArgument::REQUIRED, 'A schedule problem, version 1')
            ->addOption('budget-ms', null, InputOption::VALUE_REQUIRED, 'Time for improving, in milliseconds', '1000')
            ->addOption('seed', null, InputOption::VALUE_REQUIRED, 'Same seed, same file: the same answer', '1')
            ->addOption('iterations', null, InputOption::VALUE_REQUIRED, 'Stop by count instead')
            ->setHelp(
                <<<'HELP'
                  <info>bin/console ladle:schedule problem.json</info>
                  <info>bin/console ladle:schedule problem.json --budget-ms=5000 --seed=7</info>
                  <info>bin/console ladle:schedule problem.json --iterations=200</info>

                Exit status: 0 feasible, 1 proven infeasible, 3 unknown, 2 not a valid problem (faults on standard error).
                The budget is counted in work, not read off the clock, so that answers repeat.
                HELP,
            );
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $began = hrtime(true);
        try {
            $path = $input->getArgument('file');
            $problem = $this->reader->read(Reading::file(\is_string($path) ? $path : '', 'schedule problem'));
            $iterations = null === $input->getOption('iterations') ? null : $this->whole($input, 'iterations', 0, 100_000_000);
            $budget =
                null === $iterations
                    ? Budget::milliseconds($this->whole($input, 'budget-ms', 0, 3_600_000))
                    : Budget::iterations($iterations);
            $seed = $this->whole($input, 'seed', 0, \PHP_INT_MAX);
        } catch (FaultyDocument $faulty) {
            return Reading::tell($faulty, $output);
        }
        $solution = (new Solver())->solve($problem, $budget, $seed);
        $faults = (new Audit())->faults($problem, $solution);
        if ([] !== $faults) {
            throw new \LogicException('The schedule fails its audit: '.implode('; ', $faults));
        }
        $written = (new ProblemWriter())->solution($solution, (int) round((hrtime(true) - $began) / 1e6));
        $output->writeln(
            json_encode($written, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_SLASHES | \JSON_UNESCAPED_UNICODE),
            OutputInterface::OUTPUT_RAW,
        );

        return match ($solution->status) {
            SolutionStatus::Feasible => Command::SUCCESS,
            SolutionStatus::Infeasible => Command::FAILURE,
            SolutionStatus::Unknown => self::UNKNOWN,
        };
    }

    private function whole(InputInterface $input, string $option, int $least, int $most): int
    {
        $given = $input->getOption($option);
        $value = \is_string($given)
            ? filter_var($given, \FILTER_VALIDATE_INT, ['options' => ['min_range' => $least, 'max_range' => $most]])
            : false;

        return false === $value
            ? throw FaultyDocument::because('option', '--{option} takes a whole number from {least} to {most}, not "{given}".', [
                'option' => $option,
                'least' => $least,
                'most' => $most,
                'given' => \is_string($given) ? $given : '',
            ])
            : $value;
    }
}
