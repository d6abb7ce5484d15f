<?php

declare(strict_types=1);

namespace UpperPane\App\Console;

use Doctrine\DBAL\Exception\ConnectionException;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\DependencyInjection\Attribute\TaggedIterator;
use UpperPane\App\Adapter\NoRoom;
use UpperPane\App\Adapter\OutsideProgram;
use UpperPane\App\Adapter\Pulse;
use UpperPane\App\Job\Chore;
use UpperPane\App\Job\Claimed;
use UpperPane\App\Job\Handler;
use UpperPane\App\Job\Lane;
use UpperPane\App\Job\LeaseLost;
use UpperPane\App\Job\Queue;
use UpperPane\Core\Base\ByName;
use UpperPane\Core\Base\Refusal;

/** Takes jobs from the table until it is told to stop. Any number may run, on any number of machines. */
#[AsCommand('app:worker', 'Does the waiting jobs and the chores: media facts, thumbnails, files for players.')]
final class WorkerCommand extends Command
{
    /** What looks at files of strangers runs in processes of its own, with less. */
    private const MEMORY = '1G';
    /** Of 19, the most (POSIX nice). */
    private const GIVING_WAY = 10;

    private bool $stopping = false;
    private bool $away = false;

    /** @var array<class-string, int> when each chore is due, in s */
    private array $due = [];

    /** @var array<string, Handler> */
    private readonly array $handlers;

    /**
     * @param iterable<Handler> $handlers
     * @param iterable<Chore>   $chores
     */
    public function __construct(
        private readonly Queue $queue,
        private readonly EntityManagerInterface $entities,
        private readonly Pulse $pulse,
        #[TaggedIterator('upper_pane.job')] iterable $handlers,
        #[TaggedIterator('upper_pane.chore')] private readonly iterable $chores = [],
    ) {
        parent::__construct();
        $this->handlers = ByName::each($handlers, static fn (Handler $handler) => $handler->kind());
    }

    protected function configure(): void
    {
        $lanes = implode(',', array_column(Lane::cases(), 'value'));
        $this->addOption('lanes', null, InputOption::VALUE_REQUIRED, 'Which jobs it takes, the first first.', $lanes);
        $this->addOption('until-empty', null, InputOption::VALUE_NONE, 'Stop when nothing waits.');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        ini_set('memory_limit', self::MEMORY);
        $lanes = array_values(
            array_filter(array_map(Lane::tryFrom(...), explode(',', (string) $input->getOption('lanes')))),
        );
        if ($lanes === []) {
            $output->writeln('No such lane: give some of now, soon and long, with commas between.');

            return Command::INVALID;
        }
        if (!OutsideProgram::hasMemory((string) file_get_contents('/proc/self/limits'))) {
            $output->writeln('The hard limit of memory (ulimit -Hv) is below 2 GB: give a worker at least so much.');

            return Command::FAILURE;
        }
        if ($lanes[0] === Lane::Long) {
            // What takes minutes gives way to what people wait for; the programs that it starts do so too.
            proc_nice(self::GIVING_WAY);
        }
        foreach ([\SIGTERM, \SIGINT] as $signal) {
            pcntl_signal($signal, function (): void {
                $this->stopping = true;
            });
        }
        pcntl_async_signals(true);
        $name = gethostname().'/'.getmypid();
        while (!$this->stopping) {
            if (in_array(Lane::Now, $lanes, true)) {
                $this->doChores($output);
            }
            try {
                $job = $this->queue->claim($name, $lanes);
                $this->away = false;
            } catch (ConnectionException $fault) {
                $this->sayAway($output, $fault);
                if ($input->getOption('until-empty')) {
                    return Command::FAILURE;
                }
                sleep(1);
                continue;
            }
            if ($job !== null) {
                $this->work($job, $output);
            } elseif ($input->getOption('until-empty')) {
                break;
            } else {
                usleep(250_000);
            }
        }

        return Command::SUCCESS;
    }

    /** By those that serve players: nothing takes long there. */
    private function doChores(OutputInterface $output): void
    {
        foreach ($this->chores as $chore) {
            if (time() < ($this->due[$chore::class] ?? 0)) {
                continue;
            }
            $this->due[$chore::class] = time() + $chore->everySeconds();
            try {
                $done = $chore->run();
                $done === '' || $output->writeln($done);
            } catch (\Throwable $fault) {
                $output->writeln('chore failed: '.$fault->getMessage());
                $this->entities->isOpen() || $this->stopping = true;
            } finally {
                $this->entities->clear();
            }
        }
    }

    /** Said once, not every second: it will be back. */
    private function sayAway(OutputInterface $output, ConnectionException $fault): void
    {
        $this->entities->getConnection()->close();
        $this->away || $output->writeln('The database cannot be reached: '.$fault->getMessage());
        $this->away = true;
    }

    private function work(Claimed $job, OutputInterface $output): void
    {
        try {
            $output->writeln("{$job->kind} #{$job->id} ".$this->attempt($job));
        } catch (LeaseLost $lost) {
            $output->writeln($lost->getMessage());
        } catch (ConnectionException) {
            $this->entities->getConnection()->close();
        } finally {
            $this->entities->clear();
        }
    }

    /** @return string what became of it */
    private function attempt(Claimed $job): string
    {
        $handler = $this->handlers[$job->kind] ?? null;
        if ($handler === null) {
            return $this->end($job, null, Refusal::because('job.kind_unknown', '', ['kind' => $job->kind]));
        }
        if ($job->attempt > Queue::MOST_ATTEMPTS) {
            $lost = ['attempts' => Queue::MOST_ATTEMPTS];

            return $this->end($job, $handler, Refusal::because('job.worker_lost', '', $lost));
        }
        try {
            $this->pulse->during(
                fn () => $this->queue->heartbeat($job),
                static fn () => $handler->handle($job->payload),
            );
            $this->entities->wrapInTransaction(fn () => $this->queue->finish($job));

            return 'done';
        } catch (LeaseLost|ConnectionException $fault) {
            throw $fault;
        } catch (NoRoom $fault) {
            $this->entities->clear();
            $this->entities->wrapInTransaction(fn () => $this->queue->postpone($job, $fault->why));

            return 'waits for room: '.$fault->getMessage();
        } catch (\Throwable $fault) {
            $what = mb_substr($fault->getMessage(), 0, 400);
            $this->entities->clear();

            return $this->end($job, $handler, Refusal::because('job.fault', '', ['what' => $what]));
        }
    }

    /** Tried again, or given up after the last attempt or when nobody knows how it is done. */
    private function end(Claimed $job, ?Handler $handler, Refusal $why): string
    {
        $last = $handler === null || $job->isLast();
        $this->entities->wrapInTransaction(function () use ($job, $handler, $why, $last): void {
            if ($last) {
                $handler?->giveUp($job->payload, Queue::MOST_ATTEMPTS);
                $this->queue->giveUp($job, $why);
            } else {
                $this->queue->retry($job, $why);
            }
        });

        return ($last ? 'given up: ' : 'failed: ').$why->getMessage();
    }
}
