<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Design;

use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use UpperPane\Core\Base\CanonicalJson;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Outcome;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Design\DesignKind;
use UpperPane\Demo\Sketch;
use UpperPane\Tests\Support\Build;
use UpperPane\Tests\Support\RandomDesign;

/** What holds for a design whatever is done to it; its commands are guarded in tests/Core/Change. */
final class CommandPropertyTest extends TestCase
{
    /** No letter is ever given twice, and every id begins with a letter. */
    public function testGivesALetterOnce(): void
    {
        $given = [];
        foreach ([11, 12, 13] as $seed) {
            $random = new RandomDesign(new Randomizer(new Mt19937($seed)));
            $design = Build::board();
            for ($step = 0; $step < 500; ++$step) {
                $command = $random->command($design, "$seed-$step");
                $after = self::tried($design, $command)->after ?? $design;
                $given = $command['do'] === 'zones.letter' ? [] : $given;
                foreach (array_diff_key($after->zones, $design->zones) as $id => $zone) {
                    self::assertMatchesRegularExpression('/^[A-Za-z]/', (string) $id);
                    $letter = "$seed {$zone->letter()}";
                    self::assertSame($id, $given[$letter] ?? $id, 'given twice: '.json_encode($command));
                    $given[$letter] = $id;
                }
                $design = $after;
            }
        }
    }

    /** Only what changed is stored, and storing it part by part gives the whole. */
    public function testStoresOnlyWhatChanged(): void
    {
        $kind = new DesignKind();
        $random = new RandomDesign(new Randomizer(new Mt19937(21)));
        $design = Build::board();
        $parts = $kind->parts($design);
        for ($step = 0; $step < 300; ++$step) {
            $after = self::tried($design, $random->command($design, "$step"))->after ?? $design;
            $parts = array_filter(
                array_replace($parts, $kind->parts($after, $design)),
                static fn (?string $json) => $json !== null,
            );
            $design = $after;
        }
        self::assertSame(self::bytes($design), self::bytes($kind->stored($parts)));
        $zone = (string) array_key_first($design->zones);
        self::assertSame(
            ["zones/$zone"],
            array_keys($kind->parts(Build::filled($design, $zone, Sketch::colour('#000000')), $design)),
        );
    }

    /**
     * @param array<string, mixed> $command
     *
     * @return ?Outcome<Design>
     */
    private static function tried(Design $design, array $command): ?Outcome
    {
        try {
            return Build::apply($design, $command);
        } catch (Refusal) {
            return null;
        }
    }

    /** The counter of letters given never goes back: it is the one thing that undo leaves. */
    private static function bytes(Design $design): string
    {
        return CanonicalJson::encode(array_diff_key(self::plain($design->toArray()), ['letters_used' => 0]));
    }

    /**
     * @param array<array-key, mixed> $value
     *
     * @return array<array-key, mixed>
     */
    private static function plain(array $value): array
    {
        return json_decode((string) json_encode($value), true);
    }
}
