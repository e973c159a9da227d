<?php

declare(strict_types=1);

namespace App\Command;

use App\Export\DayStateJson;
use App\Export\DayStateText;
use FeastLadle\Day\Fold;
use FeastLadle\Day\LogReader;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Larder\Larder;
use FeastLadle\Schedule\SolutionStatus;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('ladle:day:replay', 'Tells how a cooking day stands: the plan of a feast file with a log of what was said.')]
final class DayReplayCommand extends Command
{
    private const FORMATS = ['text', 'json'];

    public function __construct(
        private readonly FeastFiles $feasts,
        private readonly Larder $larder,
        private readonly DayStateJson $json,
        private readonly DayStateText $text,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('feast', InputArgument::REQUIRED, 'A feast document; its kitchen and recipes may stand in it')
            ->addArgument('log', InputArgument::REQUIRED, 'A day log, as docs/formats/day-log.md tells')
            ->addOption('at', null, InputOption::VALUE_REQUIRED, 'An instant with its offset; the last event\'s unless said')
            ->addOption('format', null, InputOption::VALUE_REQUIRED, implode(' or ', self::FORMATS), 'json', self::FORMATS)
            ->addOption('kitchen', null, InputOption::VALUE_REQUIRED, 'A kitchen document, when the feast holds none')
            ->setHelp(
                <<<'HELP'
                  <info>bin/console ladle:day:replay data/feasts/new-roof.json log.json --at=2031-11-15T13:00:00+05:30</info>

                Exit status: 0 a state, 2 a faulty file (faults on standard error).
                HELP,
            );
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $given = static function (mixed $value): string {
            return \is_string($value) ? $value : '';
        };
        try {
            $format = $given($input->getOption('format'));
            if (!\in_array($format, self::FORMATS, true)) {
                throw FaultyDocument::because('option', '--format takes {known}, not "{given}".', [
                    'known' => implode(' or ', self::FORMATS),
                    'given' => $format,
                ]);
            }
            [$feast, $kitchen] = $this->feasts->read($given($input->getArgument('feast')), $given($input->getOption('kitchen')));
            $json = Reading::file($given($input->getArgument('log')), 'day log');
            $log = (new LogReader($feast, $kitchen, $this->larder))->read($json);
            $plan = $this->feasts->plan($feast, $kitchen);
            if (SolutionStatus::Feasible !== $plan->solution->status) {
                throw FaultyDocument::because('feast', 'There is no plan for this feast, so that nothing can be said of its day.');
            }
            $at = self::at($given($input->getOption('at'))) ?? $log->lastInstant() ?? $plan->origin;
        } catch (FaultyDocument $faulty) {
            return Reading::tell($faulty, $output);
        }
        $state = (new Fold($feast, $kitchen, $this->larder, $plan))->state($log, $at);
        $fingerprint = hash('sha256', serialize([$feast, $kitchen]).$json);
        $output->write(
            'json' === $format ? $this->json->write($feast, $state, $fingerprint)."\n" : $this->text->write($feast, $kitchen, $state),
            false,
            OutputInterface::OUTPUT_RAW,
        );

        return Command::SUCCESS;
    }

    /** @throws FaultyDocument */
    private static function at(string $given): ?\DateTimeImmutable
    {
        if ('' === $given) {
            return null;
        }
        $at = \DateTimeImmutable::createFromFormat(\DateTimeInterface::ATOM, $given);

        return false === $at
            ? throw FaultyDocument::because('option', '--at takes an instant like 2031-11-15T13:00:00+05:30, not "{given}".', [
                'given' => $given,
            ])
            : $at;
    }
}
