<?php

declare(strict_types=1);

namespace UpperPane\Tests\App;

use UpperPane\Demo\Sketch;

/** Batches: kept once, merged when they do not meet, refused with both versions when they do, undone and done again. */
final class EditTest extends ApiCase
{
    public function testABatchSentTwiceIsDoneOnce(): void
    {
        $this->signIn();
        $batch = self::uuid();
        $first = $this->edit([Sketch::fill('z-right', Sketch::colour('#123456'))], 1, batch: $batch);
        $again = $this->edit([Sketch::fill('z-right', Sketch::colour('#123456'))], 1, batch: $batch);

        self::assertSame([2, 2, true], [$first['revision'], $again['revision'], $again['repeated']]);
        self::assertSame(['z-right'], array_keys($first['zones']), 'only what changed is answered');
    }

    public function testOtherZonesAreMergedAndTheSameZoneIsAChoice(): void
    {
        $this->signIn('ada');
        $this->edit([Sketch::fill('z-right', Sketch::colour('#111111'))], 1);
        $this->signIn();
        $merged = $this->edit([Sketch::fill('z-middle', Sketch::colour('#222222'))], 1);
        $conflict = $this->edit([Sketch::fill('z-right', Sketch::colour('#333333'))], 1, 409);

        self::assertSame(3, $merged['revision']);
        self::assertSame('Ada Wren', $merged['between'][0]['author']);
        self::assertEqualsCanonicalizing(['z-middle', 'z-right'], array_keys($merged['zones']), 'the other’s change comes along');
        self::assertSame(['design.changed_since', 'z-right'], [$conflict['code'], $conflict['zones'][0]['zone']]);
        self::assertSame(['#111111', '#333333'], [$conflict['zones'][0]['theirs']['fill']['colour'], $conflict['zones'][0]['yours']['fill']['colour']]);
    }

    public function testUndoAndRedoAreOnesOwn(): void
    {
        $this->signIn();
        $this->edit([Sketch::fill('z-right', Sketch::colour('#111111'))], 1);
        $this->edit([Sketch::fill('z-right', Sketch::colour('#222222'))], 2);
        $path = '/api/designs/'.self::BOARD;
        $colours = [];
        foreach (['undo', 'undo', 'redo', 'redo'] as $step) {
            $colours[] = $this->call('POST', "$path/$step", ['batch' => self::uuid()], 200)['documents']['z-right']['fill']['colour'] ?? 'picture';
        }
        self::assertSame(['#111111', 'picture', '#111111', '#222222'], $colours);
        self::assertSame('undo.nothing', $this->call('POST', "$path/redo", ['batch' => self::uuid()], 409)['code']);

        $this->signIn('ada');
        $this->edit([Sketch::fill('z-right', Sketch::colour('#999999'))], 7);
        $this->signIn();
        $refused = $this->call('POST', "$path/undo", ['batch' => self::uuid()], 409);
        self::assertSame(['undo.changed_since', 'Ada Wren'], [$refused['code'], $refused['params']['who']]);
    }

    public function testRefusalsSayWhereAndNothingIsHalfDone(): void
    {
        $this->signIn();
        $wrong = $this->edit([Sketch::fill('z-right', Sketch::colour('#111111')), Sketch::fill('z-right', Sketch::colour('blue'))], 1, 422);
        $gone = $this->edit([Sketch::fill('z-right', Sketch::colour('#111111')), Sketch::fill('z-none', Sketch::colour('#000000'))], 1, 422);

        self::assertSame(['input.colour', '/commands/1/fill/colour'], [$wrong['code'], $wrong['path']]);
        self::assertSame(['document.zone_gone', '/commands/1'], [$gone['code'], $gone['path']]);
        self::assertSame('application/problem+json', $this->response->headers->get('Content-Type'));
        self::assertSame('session.csrf', $this->call('POST', '/api/designs/'.self::BOARD.'/batches', [], 403, ['HTTP_X_CSRF_TOKEN' => 'wrong'])['code']);
        self::assertSame(1, $this->call('GET', '/api/designs/'.self::BOARD)['revision']);
    }
}
