<?php

declare(strict_types=1);

namespace UpperPane\App\Adapter;

use Symfony\Component\Process\Exception\ProcessTimedOutException;
use Symfony\Component\Process\InputStream;
use Symfony\Component\Process\Process;

/**
 * The one way to ffmpeg, ffprobe and their like: they see files of strangers, so they run as nobody, alone in a group
 * of processes that ends with them, with bounds on time, memory and what they write. While one runs, the {@see Pulse}
 * goes on.
 */
final readonly class OutsideProgram
{
    private const MEMORY_BYTES = 2 << 30;
    private const FILE_BYTES = 64 << 20;
    private const ENVIRONMENT = [
        'PATH' => '/usr/local/bin:/usr/bin:/bin',
        'HOME' => '/nonexistent',
        // Bounds of our own: those of a machine differ, and leave out pictures that are let in.
        'MAGICK_CONFIGURE_PATH' => __DIR__.'/../../config/pictures',
    ];
    private const LOOK_EVERY_US = 20_000;
    /** One that ended before its group is known would leave behind what it started. */
    private const WHEN_TOLD = ['sh', '-c', 'read -r go; exec "$@"', 'sh'];
    private const NOBODY = [
        'setpriv',
        '--reuid=nobody',
        '--regid=nogroup',
        '--clear-groups',
        '--inh-caps=-all',
        '--ambient-caps=-all',
        '--no-new-privs',
        '--',
    ];
    /** Bits of CAP_KILL, CAP_SETGID and CAP_SETUID, capabilities(7). */
    private const BECOMES_NOBODY = 1 << 5 | 1 << 6 | 1 << 7;

    public function __construct(private Pulse $pulse)
    {
    }

    /**
     * @param list<string> $command that writes to its standard output
     * @param ?string      $input     what it reads from its standard input
     * @param int          $fileBytes the most that it may write into a file
     *
     * @return ?string what it wrote; null when it ended with a fault, or went beyond its bounds
     */
    public function output(
        array $command,
        int $mostSeconds,
        ?string $input = null,
        int $fileBytes = self::FILE_BYTES,
    ): ?string {
        $process = new Process(
            [
                'setsid',
                ...self::mayBecomeNobody() ? self::NOBODY : [],
                'prlimit',
                '--as='.self::MEMORY_BYTES,
                '--cpu='.(2 * $mostSeconds),
                '--fsize='.$fileBytes,
                '--core=0',
                '--',
                ...self::WHEN_TOLD,
                ...$command,
            ],
            '/',
            self::ENVIRONMENT,
            $stream = new InputStream(),
            timeout: $mostSeconds,
        );
        $process->start();
        $group = $process->getPid();
        $stream->write("\n".$input);
        $stream->close();
        try {
            while ($process->isRunning()) {
                $process->checkTimeout();
                $this->pulse->goesOn();
                usleep(self::LOOK_EVERY_US);
            }

            return $process->isSuccessful() ? $process->getOutput() : null;
        } catch (ProcessTimedOutException) {
            return null;
        } finally {
            if ($group !== null) {
                posix_kill(-$group, \SIGKILL);
            }
        }
    }

    /** Whether they may be given as much memory as they are promised: else every file would look damaged. */
    public static function hasMemory(string $limits): bool
    {
        return preg_match('/^Max address space\s+\S+\s+(\d+)/m', $limits, $found) !== 1
            || (int) $found[1] >= self::MEMORY_BYTES;
    }

    /** As root, or as a worker that was given the three capabilities: elsewhere a change of user would be refused. */
    private static function mayBecomeNobody(): bool
    {
        preg_match('/^CapEff:\s*([0-9a-f]+)/m', (string) @file_get_contents('/proc/self/status'), $found);

        return ((int) hexdec($found[1] ?? '0') & self::BECOMES_NOBODY) === self::BECOMES_NOBODY;
    }
}
