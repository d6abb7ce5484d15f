<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Change;

use PHPUnit\Framework\TestCase;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Change\Batch;
use UpperPane\Core\Change\History;
use UpperPane\Core\Change\Nature;
use UpperPane\Core\Change\Scope;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Change\Step;
use UpperPane\Tests\Support\Notes\Notes;
use UpperPane\Tests\Support\Notes\NotesKind;

/** What history decides, over plain steps of documents of any kind. */
final class HistoryTest extends TestCase
{
    public function testCommandsOfOneTargetBecomeOneAndAreTakenBackTogether(): void
    {
        $set = static fn (string $note, ?string $text) => ['do' => 'note.set', 'note' => $note, 'text' => $text];
        $batch = Batch::parse(
            Input::of([$set('a', 'B'), $set('a', 'Boats'), $set('b', 'x')]),
            new NotesKind(),
        )->merged();
        self::assertSame([$set('a', 'Boats'), $set('b', 'x')], $batch->toArray());

        $before = new Notes(['b' => 'old']);
        $outcome = $batch->apply($before);
        self::assertSame(['b' => 'x', 'a' => 'Boats'], $outcome->after->notes);
        self::assertSame(['b' => 'old'], $outcome->inverse->apply($outcome->after)->after->notes);
    }

    public function testWhatOthersDidSinceIsAChoiceUnlessItWasTakenBack(): void
    {
        $since = [
            self::step(2, 'ada', 'a'),
            self::step(3, 'dina', 'b'),
            self::step(4, 'ada', 'c'),
            self::step(5, 'ada', 'c', Nature::Undo, 4),
        ];
        $numbers = static fn (array $steps): array => array_map(static fn (Step $step) => $step->number, $steps);

        self::assertSame([2], $numbers(History::clashes($since, 'q-dina', self::notes('a'))));
        self::assertSame(
            [],
            $numbers(History::clashes($since, 'q-dina', self::notes('b'))),
            'one’s own queue had it in mind',
        );
        self::assertSame([3], $numbers(History::clashes($since, 'q-other', self::notes('b'))));
        self::assertSame(
            [],
            $numbers(History::clashes($since, 'q-dina', self::notes('c'))),
            'what was taken back is as it was',
        );
        self::assertSame(
            [2],
            $numbers(History::clashes($since, 'q-dina', Scopes::of(Scope::of('notes')))),
            'the whole meets what lies in it',
        );
    }

    public function testUndoAndRedoGoThroughOnesOwnSteps(): void
    {
        $steps = [];
        $undo = static function () use (&$steps): ?int {
            return History::next(array_reverse($steps), 'dina')['undo']?->number;
        };
        $redo = static function () use (&$steps): ?int {
            return History::next(array_reverse($steps), 'dina')['redo']?->number;
        };
        self::assertSame([null, null], [$undo(), $redo()]);

        $steps = [self::step(1, 'dina', 'a'), self::step(2, 'dina', 'b'), self::step(3, 'ada', 'c')];
        self::assertSame([2, null], [$undo(), $redo()]);
        $steps[] = self::step(4, 'dina', 'b', Nature::Undo, 2);
        self::assertSame([1, 4], [$undo(), $redo()]);
        $steps[] = self::step(5, 'dina', 'a', Nature::Undo, 1);
        self::assertSame([null, 5], [$undo(), $redo()]);
        $steps[] = self::step(6, 'dina', 'a', Nature::Redo, 5);
        self::assertSame([1, 4], [$undo(), $redo()]);
        $steps[] = self::step(7, 'dina', 'd');
        self::assertSame([7, null], [$undo(), $redo()], 'an edit ends what could be done again');
    }

    public function testOthersStandInTheWayOfAnUndo(): void
    {
        $target = self::step(1, 'dina', 'a');
        $inTheWay = static fn (Step ...$later): array => array_map(
            static fn (Step $step) => $step->number,
            History::inTheWay($target, $later),
        );

        self::assertSame([2], $inTheWay(self::step(2, 'ada', 'a'), self::step(3, 'ada', 'b')));
        self::assertSame([], $inTheWay(self::step(2, 'ada', 'a'), self::step(3, 'ada', 'a', Nature::Undo, 2)));
        self::assertSame([], $inTheWay(self::step(2, 'dina', 'a')), 'one’s own later steps are taken back first');
    }

    private static function step(
        int $number,
        string $author,
        string $note,
        Nature $nature = Nature::Edit,
        ?int $cancels = null,
    ): Step {
        return new Step($number, $author, "q-$author", $nature, $cancels, Scopes::of(), self::notes($note));
    }

    private static function notes(string ...$notes): Scopes
    {
        return Scopes::of(...array_map(static fn (string $note) => Scope::of('notes', $note), $notes));
    }
}
