<?php

declare(strict_types=1);

namespace UpperPane\Tests\Support;

use Symfony\Component\Process\Process;

/** Stops and starts single parts of the running app, as a power cut or a person with a terminal would. */
final class Stack
{
    public static function stop(string $part): void
    {
        self::run("stop_one $part");
    }

    /** @param array<string, string> $with settings that it is started with */
    public static function start(string $part, array $with = []): void
    {
        self::run("start_$part", $with);
    }

    /** @param array<string, string> $with */
    private static function run(string $what, array $with = []): void
    {
        $root = \dirname(__DIR__, 2);
        $address = (string) getenv('UPPER_PANE_URL');
        $process = new Process(
            [
                'setsid',
                'bash',
                '-c',
                "for fd in /proc/self/fd/*; do n=\${fd##*/}; [ \$n -gt 2 ] && eval \"exec \$n>&-\"; done 2>/dev/null; . '$root/bin/lib/say.sh'; . '$root/bin/lib/stack.sh'; $what",
            ],
            env: $with + [
                'ROOT' => $root,
                'STACK' => (string) getenv('STACK'),
                'HOST' => '127.0.0.1',
                'PORT' => (string) parse_url($address, \PHP_URL_PORT),
                'FLUSH' => '0',
            ],
        );
        $process->disableOutput()->setTimeout(60)->mustRun();
    }
}
