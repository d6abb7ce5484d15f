<?php

declare(strict_types=1);

namespace UpperPane\App\Pane;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Json;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Text\Fonts;

/** `bin/pane` without its streams: arguments and text in; exit code, output and error text out. */
final readonly class Filter
{
    public const MOST_BYTES = 16_777_216;

    /** @param list<Described> $commands */
    public function __construct(private array $commands)
    {
    }

    /** @param \Closure(): Fonts $fonts opened only by commands that measure text */
    public static function standard(\Closure $fonts): self
    {
        return new self([
            new SurfaceCommand(),
            new EdidCommand(),
            new LegibleCommand($fonts),
            new GlazeCommand(),
            new LatticeCommand(),
            new FitCommand(),
            new FontCommand(),
            new CutOutCommand(),
            new TextCommand($fonts),
            new ContrastCommand(),
            new QrCommand(),
            new ReflowCommand(),
            new PlaceCommand(),
            new SmilReadCommand(),
            new SmilWriteCommand(),
            new PlaylistCommand(),
            new SyncCommand(),
            new PeriodCommand(),
            new ScheduleCommand(),
            new WhenReadCommand(),
            new WhenSayCommand(),
            new IcalendarCommand(),
        ]);
    }

    /**
     * @param list<string>      $arguments
     * @param callable(): string $read     standard input, read only when the command wants it
     *
     * @return array{int, string, string} exit code, standard output, standard error
     */
    public function run(array $arguments, callable $read): array
    {
        try {
            return [0, self::json($this->answer($arguments, $read)), ''];
        } catch (Refusal $refusal) {
            return [2, '', self::json(['error' => $refusal->toArray()])];
        } catch (\Throwable $fault) {
            $error = Refusal::because('pane.our_fault', '', ['what' => $fault->getMessage()]);

            return [1, '', self::json(['error' => $error->toArray()])];
        }
    }

    /** For people: how it is called, and what each command does. */
    public function help(): string
    {
        $lines = array_map(
            static fn (Described $command) => sprintf('  %-10s%s', $command->name(), $command->about()),
            $this->commands,
        );

        return implode("\n", [
            'bin/pane COMMAND < IN.json      one JSON document in, one out',
            'bin/pane COMMAND --file FILE    for commands that read a file: edid, smil-read, cutout',
            'bin/pane schema COMMAND         the JSON Schema of what goes in',
            'bin/pane list                   the names of all commands',
            '',
            ...$lines,
            '',
            'Refused input: exit 2 and one JSON object on standard error. See docs/cli.md.',
            '',
        ]);
    }

    /** The error text for an answer that could not be written. */
    public static function unwritten(): string
    {
        return self::json(['error' => Refusal::because('pane.output_closed')->toArray()]);
    }

    /**
     * @param list<string>      $arguments
     * @param callable(): string $read
     *
     * @return array<string, mixed>
     */
    private function answer(array $arguments, callable $read): array
    {
        $name = $arguments[0] ?? '';
        if ($name === 'list') {
            self::refuseMore($arguments, 1);

            return ['commands' => array_map(static fn (Described $command) => $command->name(), $this->commands)];
        }
        if ($name === 'schema') {
            self::refuseMore($arguments, 2);

            return ['$schema' => 'https://json-schema.org/draft/2020-12/schema'] +
                $this->command($arguments[1] ?? '')->schema();
        }
        $command = $this->command($name);
        if ($command instanceof FileCommand) {
            $options = self::options($command->options(), array_slice($arguments, 3));

            return $command->runFile(self::file($arguments), $options);
        }
        self::refuseMore($arguments, 1);
        \assert($command instanceof Command);

        return $command->run(self::decode($read()));
    }

    private function command(string $name): Described
    {
        foreach ($this->commands as $command) {
            if ($command->name() === $name) {
                return $command;
            }
        }
        throw Refusal::because('pane.command_unknown', '', [
            'name' => $name,
            'known' => array_map(static fn (Described $command) => $command->name(), $this->commands),
        ]);
    }

    /** @param list<string> $arguments */
    private static function refuseMore(array $arguments, int $wanted): void
    {
        if (count($arguments) > $wanted) {
            throw Refusal::because('pane.argument', '', ['argument' => $arguments[$wanted]]);
        }
    }

    /**
     * @param array<string, array{least: int, most: int, otherwise: int}> $known
     * @param list<string>                                                 $given `--NAME NUMBER` and so on
     *
     * @return array<string, int>
     */
    private static function options(array $known, array $given): array
    {
        $options = array_map(static fn (array $option) => $option['otherwise'], $known);
        foreach (array_chunk($given, 2) as $pair) {
            [$option, $number] = [$pair[0], $pair[1] ?? ''];
            $name = str_starts_with($option, '--') ? substr($option, 2) : '';
            if (!isset($known[$name])) {
                throw Refusal::because('pane.argument', '', ['argument' => $option]);
            }
            ['least' => $least, 'most' => $most] = $known[$name];
            if (preg_match('/^\d{1,9}$/D', $number) !== 1 || $number < $least || $number > $most) {
                throw Refusal::because('pane.option', '', ['option' => $option, 'least' => $least, 'most' => $most]);
            }
            $options[$name] = (int) $number;
        }

        return $options;
    }

    /** @param list<string> $arguments command, `--file`, path */
    private static function file(array $arguments): string
    {
        if (($arguments[1] ?? '') !== '--file' || !isset($arguments[2])) {
            throw Refusal::because('pane.file_wanted', '', ['name' => $arguments[0]]);
        }
        // A file that says it is readable may still refuse, as some below /proc do.
        $bytes =
            is_file($arguments[2]) && is_readable($arguments[2])
                ? @file_get_contents($arguments[2], length: self::MOST_BYTES + 1)
                : false;

        return $bytes === false || ($bytes === '' && filesize($arguments[2]) > 0)
            ? throw Refusal::because('pane.file_unreadable', '', ['file' => $arguments[2]])
            : $bytes;
    }

    private static function decode(string $text): Input
    {
        if (strlen($text) > self::MOST_BYTES) {
            throw Refusal::because('input.too_large', '', ['bytes' => strlen($text), 'most' => self::MOST_BYTES]);
        }

        return Json::decode($text);
    }

    /** What is not UTF-8 (an argument that is quoted in a refusal) is shown with replacement characters. */
    private static function json(mixed $value): string
    {
        return json_encode(
            $value,
            \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES | \JSON_INVALID_UTF8_SUBSTITUTE | \JSON_THROW_ON_ERROR,
        )."\n";
    }
}
