<?php

declare(strict_types=1);

namespace UpperPane\Core\Picture;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Time\CivilTime;

/**
 * What people note of a medium: the folder it lies in, words to find it by, the licence, and the last day on which it
 * may be shown.
 */
final readonly class MediaNotes
{
    private const MOST_TAGS = 20;
    private const LONGEST_FOLDER = 120;
    private const MIDNIGHT = 'T00:00:00';

    /**
     * @param list<string> $tags  each once, as people sort them
     * @param string       $folder names from the outermost one on, parted by slashes; empty: in none
     * @param ?string      $until the last day, like 2026-12-24; null: always
     */
    private function __construct(
        public array $tags,
        public string $licence,
        public ?string $until,
        public string $folder,
    ) {
    }

    public static function none(): self
    {
        return new self([], '', null, '');
    }

    /** @throws Refusal `time.day` for what is no day */
    public static function parse(Input $input): self
    {
        $input->keys(['tags', 'licence', 'until', 'folder']);
        $tags = array_map(
            static fn (Input $tag) => mb_strtolower(trim($tag->asText(40, 1))),
            $input->list('tags', self::MOST_TAGS),
        );
        $tags = array_values(array_unique(array_filter($tags, static fn (string $tag) => $tag !== '')));
        sort($tags, \SORT_NATURAL);

        return new self(
            $tags,
            trim($input->text('licence', 500)),
            self::day($input->optional('until')),
            $input->has('folder') ? self::folder($input->text('folder', self::LONGEST_FOLDER)) : '',
        );
    }

    private static function folder(string $typed): string
    {
        $names = array_map(trim(...), explode('/', $typed));

        return implode('/', array_filter($names, static fn (string $name) => $name !== ''));
    }

    /** @return array{tags: list<string>, licence: string, until: ?string, folder: string} */
    public function toArray(): array
    {
        return ['tags' => $this->tags, 'licence' => $this->licence, 'until' => $this->until, 'folder' => $this->folder];
    }

    /** From when on it may not be shown: the first instant of the day after the last. In ms since 1970. */
    public function endsMs(\DateTimeZone $zone): ?int
    {
        if ($this->until === null) {
            return null;
        }
        $after = (new \DateTimeImmutable($this->until, new \DateTimeZone('UTC')))->modify('+1 day');

        return CivilTime::parse(Input::of($after->format('Y-m-d').self::MIDNIGHT))->instantMs($zone);
    }

    private static function day(?Input $input): ?string
    {
        if ($input === null) {
            return null;
        }
        $day = $input->asText(10);
        try {
            CivilTime::parse(Input::of($day.self::MIDNIGHT));
        } catch (Refusal) {
            throw Refusal::because('time.day', $input->path, ['value' => $day]);
        }

        return $day;
    }
}
