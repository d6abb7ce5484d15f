<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Change;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use UpperPane\App\Repository\Kinds;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Batch;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Kind;
use UpperPane\Core\Change\Outcome;
use UpperPane\Tests\Support\Declared;
use UpperPane\Tests\Support\Guard\Subject;
use UpperPane\Tests\Support\Guard\Subjects;

/**
 * What a command reads, writes and takes back is what it says, for every command of every kind there is: a kind
 * without a subject fails, and so does a command that no subject tries.
 */
final class ScopeGuardTest extends TestCase
{
    /** @return iterable<string, array{Kind<Document>}> */
    public static function kinds(): iterable
    {
        foreach ((new Kinds())->all() as $name => $kind) {
            yield $name => [$kind];
        }
    }

    /**
     * Apply → store → read → invert gives what was before, and redo what was after; what differs after each lies in
     * what it declares to write; the whole reads back as itself.
     *
     * @param Kind<Document> $kind
     */
    #[DataProvider('kinds')]
    public function testEveryCommandIsTakenBackAndDoneAgainThroughTheStore(Kind $kind): void
    {
        $done = [];
        foreach ([11, 12, 13] as $seed) {
            $subject = Subjects::of($kind->name());
            $random = new Randomizer(new Mt19937($seed));
            $document = $subject->begun();
            for ($step = 0; $step < 500; ++$step) {
                $command = $subject->command($document, $random, "$seed-$step");
                $outcome = self::tried($kind, $document, $command);
                if ($outcome === null) {
                    continue;
                }
                $said = json_encode($command);
                $done[$command['do']] = true;
                $bytes = $subject->bytes(...);
                $stored = $kind->stored($kind->parts($outcome->after));
                self::assertSame($bytes($outcome->after), $bytes($stored), "stored: $said");
                $back = Batch::parse(Input::of(self::plain($outcome->inverse->toArray())), $kind)->apply($stored);
                self::assertSame($bytes($document), $bytes($back->after), "inverse: $said");
                $again = $back->inverse->apply($back->after);
                self::assertSame($bytes($outcome->after), $bytes($again->after), "redo: $said");
                self::assertSame([], Declared::beyond($document, $outcome, $subject->place(...)), "writes: $said");
                self::assertSame([], Declared::beyond($stored, $back, $subject->place(...)), "inverse writes: $said");
                $document = $outcome->after;
            }
            $read = $kind->read(Input::of(self::plain($document->toArray())));
            self::assertSame($subject->bytes($document), $subject->bytes($read));
        }
        $missing = array_diff($kind->commands()->names(), array_keys($done), Subjects::of($kind->name())->inverses());
        self::assertSame([], array_values($missing), 'each was tried');
    }

    /**
     * Two batches whose scopes do not meet commute, and neither makes the other impossible; and what takes the first
     * one back leaves the second one as if it had come alone.
     *
     * @param Kind<Document> $kind
     */
    #[DataProvider('kinds')]
    public function testWhatDoesNotMeetCommutes(Kind $kind): void
    {
        $tried = 0;
        foreach ([31, 32, 33, 34] as $seed) {
            $subject = Subjects::of($kind->name());
            $random = new Randomizer(new Mt19937($seed));
            $document = $subject->begun();
            for ($step = 0; $step < 260; ++$step) {
                $batch = static fn (string $whose): array => array_map(
                    static fn (int $index) => $subject->command($document, $random, "$seed$step$whose$index"),
                    range(1, $random->getInt(1, 2)),
                );
                [$a, $b] = [$batch('a'), $batch('b')];
                [$one, $other] = [self::tried($kind, $document, ...$a), self::tried($kind, $document, ...$b)];
                if ($one !== null && $other !== null && self::areApart($one, $other)) {
                    self::assertCommutes($kind, $subject, $document, [$a, $one], [$b, $other]);
                    ++$tried;
                }
                $document = $one->after ?? $document;
            }
        }
        self::assertGreaterThan(150, $tried);
    }

    /**
     * @param Kind<Document>                                          $kind
     * @param Subject<Document>                                       $subject
     * @param array{list<array<string, mixed>>, Outcome<Document>} $first
     * @param array{list<array<string, mixed>>, Outcome<Document>} $second
     */
    private static function assertCommutes(
        Kind $kind,
        Subject $subject,
        Document $before,
        array $first,
        array $second,
    ): void {
        [[$a, $one], [$b, $other]] = [$first, $second];
        $said = (string) json_encode([$a, $b]);
        $ab = self::tried($kind, $one->after, ...$b) ?? self::fail("second refused: $said");
        $ba = self::tried($kind, $other->after, ...$a) ?? self::fail("first refused: $said");
        $common = static fn (Document $document) => $subject->common($document, $before);
        self::assertSame($common($ab->after), $common($ba->after), $said);
        try {
            $undone = $one->inverse->apply($ab->after);
        } catch (Refusal) {
            return;
        }
        if (!$undone->writes->meets($other->touched())) {
            self::assertSame($common($other->after), $common($undone->after), "first taken back: $said");
        }
    }

    /**
     * @param Outcome<Document> $one
     * @param Outcome<Document> $other
     */
    private static function areApart(Outcome $one, Outcome $other): bool
    {
        return !$one->writes->meets($other->touched()) && !$other->writes->meets($one->touched());
    }

    /**
     * @param Kind<Document>       $kind
     * @param array<string, mixed> ...$commands
     *
     * @return ?Outcome<Document>
     */
    private static function tried(Kind $kind, Document $document, array ...$commands): ?Outcome
    {
        try {
            return Batch::parse(Input::of(self::plain($commands)), $kind)->apply($document);
        } catch (Refusal) {
            return null;
        }
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
