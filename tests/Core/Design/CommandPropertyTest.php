<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Design;

use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use UpperPane\Core\Base\CanonicalJson;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Batch;
use UpperPane\Core\Change\Outcome;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Design\DesignCommands;
use UpperPane\Core\Design\DesignKind;
use UpperPane\Core\Design\DesignReader;
use UpperPane\Demo\Sketch;
use UpperPane\Tests\Support\Build;
use UpperPane\Tests\Support\Declared;
use UpperPane\Tests\Support\RandomDesign;

/** What holds for every command on a design, tried with random sequences of all of them. */
final class CommandPropertyTest extends TestCase
{
    /**
     * Apply → store → read → invert gives the same canonical bytes, and redo gives those after it; what is different
     * after either of the first two lies in what it declares to write; the whole document
     * reads back as itself; no letter is ever given twice, and every id begins with a letter.
     */
    public function testEveryCommandIsTakenBackAndDoneAgainThroughTheStore(): void
    {
        $kind = new DesignKind();
        $done = $given = [];
        foreach ([11, 12, 13] as $seed) {
            $random = new RandomDesign(new Randomizer(new Mt19937($seed)));
            $design = Build::filled(
                Build::board(),
                'a',
                Sketch::playlist([[Sketch::colour('#112233'), 5000], [Sketch::text('Hi', 40), null]]),
            );
            for ($step = 0; $step < 500; ++$step) {
                $command = $random->command($design, "$seed-$step");
                $outcome = self::tried($design, $command);
                if ($outcome === null) {
                    continue;
                }
                $said = json_encode($command);
                $done[$command['do']] = true;
                $inverse = Batch::parse(Input::of(self::plain($outcome->inverse->toArray())), $kind);
                $stored = $kind->stored($kind->parts($outcome->after));
                self::assertSame(self::bytes($outcome->after), self::bytes($stored), "stored: $said");
                $back = $inverse->apply($stored);
                self::assertSame(self::bytes($design), self::bytes($back->after), "inverse: $said");
                $again = $back->inverse->apply($back->after);
                self::assertSame(self::bytes($outcome->after), self::bytes($again->after), "redo: $said");
                self::assertSame([], Declared::beyond($design, $outcome, self::place(...)), "writes: $said");
                if ($step % 3 === 0) {
                    self::assertSame([], Declared::beyond($stored, $back, self::place(...)), "inverse writes: $said");
                }
                $given = $command['do'] === 'zones.letter' ? [] : $given;
                foreach (array_diff_key($outcome->after->zones, $design->zones) as $id => $zone) {
                    self::assertMatchesRegularExpression('/^[A-Za-z]/', (string) $id);
                    $letter = "$seed {$zone->letter()}";
                    self::assertSame($id, $given[$letter] ?? $id, "letter given twice: $said");
                    $given[$letter] = $id;
                }
                $design = $outcome->after;
            }
            self::assertSame(
                self::bytes($design),
                self::bytes(DesignReader::read(Input::of(self::plain($design->toArray())))),
            );
        }
        $known = array_diff(array_keys(DesignCommands::byName()), ['scene.put', 'float.set', 'sizes.set']);
        self::assertSame(
            [],
            array_values(array_diff($known, array_keys($done))),
            'each was tried; those left out here are tried as inverses',
        );
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
     * Two batches whose scopes do not meet commute, but for which of two new letters is whose; and neither makes the
     * other impossible.
     */
    public function testWhatDoesNotMeetCommutes(): void
    {
        $tried = 0;
        foreach ([31, 32, 33, 34] as $seed) {
            $random = new RandomDesign(new Randomizer(new Mt19937($seed)));
            $design = Build::board();
            for ($step = 0; $step < 260; ++$step) {
                [$a, $b] = [$random->command($design, "{$step}a"), $random->command($design, "{$step}b")];
                [$one, $other] = [self::tried($design, $a), self::tried($design, $b)];
                if (
                    $one !== null
                    && $other !== null
                    && !$one->writes->meets($other->touched())
                    && !$other->writes->meets($one->touched())
                ) {
                    $said = json_encode([$a, $b]);
                    $ab = self::tried($one->after, $b);
                    $ba = self::tried($other->after, $a);
                    self::assertNotNull($ab, "second refused: $said");
                    self::assertNotNull($ba, "first refused: $said");
                    self::assertSame(
                        self::unlettered($ab->after, $design),
                        self::unlettered($ba->after, $design),
                        (string) $said,
                    );
                    ++$tried;
                }
                $design = $one->after ?? $design;
            }
        }
        self::assertGreaterThan(200, $tried);
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

    /**
     * @param list<string> $path
     *
     * @return ?list<string>
     */
    private static function place(array $path): ?array
    {
        return match (true) {
            $path === ['letters_used'] => null,
            // Parts and floats of a layout, and entries, go by names of their own: any of it will do.
            ($path[2] ?? '') === 'fill' => array_slice($path, 0, 3),
            ($path[2] ?? '') === 'layouts' => [$path[0], $path[1], ...array_slice($path, 3, 1)],
            default => $path,
        };
    }

    /** The counter of letters given never goes back: it is the one thing that undo leaves. */
    private static function bytes(Design $design): string
    {
        return CanonicalJson::encode(array_diff_key(self::plain($design->toArray()), ['letters_used' => 0]));
    }

    private static function unlettered(Design $design, Design $before): string
    {
        $array = self::plain($design->toArray());
        foreach (array_keys(array_diff_key($design->zones, $before->zones)) as $id) {
            unset($array['zones'][$id]['letter']);
        }

        return CanonicalJson::encode($array);
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
