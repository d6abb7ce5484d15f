<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Fill;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Schedule\When;
use UpperPane\Core\Time\Cycles;

/**
 * One entry of a playlist: a fill and its duration in ms; null is "as long as its content". With days and hours of its
 * own it is shown only then; one that is `alone` is shown instead of all others while it is on (model §6).
 */
final readonly class Entry
{
    use Altered;

    private const WHEN = ['start', 'end', 'days', 'rrule'];

    private function __construct(
        public string $id,
        public Fill $fill,
        public ?int $durationMs,
        public bool $enabled,
        public Transition $transition,
        public ?When $when,
        public bool $alone,
        public bool $between,
    ) {
    }

    /**
     * A `duration_ms` that is left out is the usual one of its content.
     *
     * @throws Refusal `playlist.nested` for a playlist in a playlist; `time.…`, `schedule.…`, `recurrence.…` of hours
     */
    public static function parse(Input $input): self
    {
        $input->keys(['id', 'fill', 'duration_ms', 'enabled', 'transition', 'when', 'alone', 'between']);
        $fill = FillReader::read($input->child('fill'));
        if ($fill instanceof PlaylistFill) {
            throw Refusal::because('playlist.nested', $input->pathTo('fill'));
        }

        return new self(
            $input->id('id'),
            $fill,
            $input->has('duration_ms')
                ? $input->optional('duration_ms')?->asInt(1, Cycles::HORIZON_MS)
                : FreshFill::durationMs($fill),
            $input->bool('enabled'),
            Transition::parse($input->child('transition')),
            $input->optional('when') === null ? null : When::parse($input->child('when')->keys(self::WHEN)),
            $input->has('alone') && $input->bool('alone'),
            $input->has('between') && $input->bool('between'),
        );
    }

    public function resolved(Names $names): self
    {
        return $this->altered([
            'fill' => $this->fill->resolved($names),
        ]);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'id' => $this->id,
            'fill' => $this->fill->toArray(),
            'duration_ms' => $this->durationMs,
            'enabled' => $this->enabled,
            'transition' => $this->transition->toArray(),
        ] + ($this->when === null ? [] : ['when' => $this->when->toArray()]) +
            ($this->alone ? ['alone' => true] : []) + ($this->between ? ['between' => true] : []);
    }
}
