<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Zones;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Letters;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scope;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Design\LayoutAt;
use UpperPane\Core\Design\Spot;
use UpperPane\Core\Layout\Placed;
use UpperPane\Core\Layout\ReadingOrder;

/**
 * `zones.letter`: all zones get letters in reading order, scene by scene as the frieze shows them; or, taken back,
 * those in `letters`. Only whoever asks for it loses what a letter meant; letters given later come after all that
 * were ever given. Refuses `document.letter_taken`.
 */
final readonly class LetterAgain implements DesignCommand
{
    public const NAME = 'zones.letter';

    /** @param ?array<string, string> $letters by zone; null for reading order */
    private function __construct(private ?array $letters)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'letters']);
        $letters = $input->optional('letters');

        return new self(
            $letters === null
                ? null
                : array_map(
                    static fn (Input $letter) => Letters::index($letter->asText(4, 1)) === null
                        ? throw Refusal::because('zone.letter', $letter->path, ['letter' => $letter->asText(4)])
                        : $letter->asText(4),
                    $letters->members(),
                ),
        );
    }

    public function apply(Document $document): Change
    {
        $letters = $this->letters ?? self::inReadingOrder($document);
        $zones = $document->zones;
        $old = [];
        foreach ($zones as $id => $zone) {
            $old[$id] = $zone->letter();
            $letter = $letters[$id] ?? $zone->letter();
            $zones[$id] = $letter === $zone->letter() ? $zone : $zone->copiedAs((string) $id, $letter);
        }
        self::check(array_map(static fn ($zone) => $zone->letter(), $zones), $document->lettersUsed);

        return new Change(
            $document->with(['zones' => $zones]),
            [new self($old)],
            // Where everything lies decides the order.
            Scopes::of(Spot::order(), ...array_map(Spot::scene(...), $document->order)),
            Scopes::of(
                ...array_map(static fn (int|string $id): Scope => Spot::zone((string) $id), array_keys($zones)),
            ),
        );
    }

    public function target(): null
    {
        return null;
    }

    public function toArray(): array
    {
        return ['do' => self::NAME] + ($this->letters === null ? [] : ['letters' => (object) $this->letters]);
    }

    /** @return array<string, string> */
    private static function inReadingOrder(Design $design): array
    {
        $letters = [];
        foreach ($design->order as $scene) {
            foreach ([false, true] as $turned) {
                if ($design->scene($scene)->layout($turned) === null) {
                    continue;
                }
                $placed = LayoutAt::of($design, $scene, $turned)->placing()->placed;
                foreach (ReadingOrder::of(array_map(static fn (Placed $one) => $one->box(), $placed)) as $zone) {
                    $letters[$zone] ??= Letters::at(count($letters));
                }
            }
        }

        return $letters;
    }

    /** @param array<string, string> $letters */
    private static function check(array $letters, int $used): void
    {
        $seen = [];
        foreach ($letters as $zone => $letter) {
            if (isset($seen[$letter]) || Letters::index($letter) >= $used) {
                throw Refusal::because('document.letter_taken', "/letters/$zone", ['letter' => $letter]);
            }
            $seen[$letter] = true;
        }
    }
}
