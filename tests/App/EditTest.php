<?php

declare(strict_types=1);

namespace UpperPane\Tests\App;

use UpperPane\App\Repository\Documents;
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

    /** What is not shown any more is not used any more. */
    public function testAMediumIsUsedAsLongAsAZoneShowsIt(): void
    {
        $this->signIn();
        $stock = fn (): array => $this->call('GET', '/api/sites/harrowmere/stock', null, 200)['media'];
        $free = array_filter($stock(), static fn (array $one) => $one['uses'] === 0 && $one['kind'] === 'picture');
        $id = array_column($free, 'id')[0];
        $uses = static fn (): int => array_column($stock(), 'uses', 'id')[$id];
        $this->edit([Sketch::fill('z-right', Sketch::picture($id))], 1);
        self::assertSame(1, $uses());
        $this->edit([Sketch::fill('z-right', Sketch::colour('#123456'))], 2);
        self::assertSame(0, $uses());
    }

    /** A whole state is kept every so often, so that no reader walks through all that was ever done. */
    public function testWholeStatesAreKept(): void
    {
        $this->signIn();
        for ($revision = 1; $revision <= Documents::KEYFRAME_EVERY; ++$revision) {
            $this->edit([Sketch::fill('z-right', Sketch::colour(sprintf('#0000%02X', $revision)))], $revision);
        }
        $kept = self::database()->fetchFirstColumn(
            'SELECT number FROM revision WHERE document_id = ? AND keyframe IS NOT NULL ORDER BY number',
            [self::BOARD],
        );
        self::assertSame([0, Documents::KEYFRAME_EVERY], array_map(intval(...), $kept));
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
        self::assertEqualsCanonicalizing(
            ['z-middle', 'z-right'],
            array_keys($merged['zones']),
            'the other’s change comes along',
        );
        self::assertSame(
            ['document.changed_since', 'z-right', 'Ada Wren'],
            [$conflict['code'], $conflict['things'][0]['zone'], $conflict['params']['who']],
        );
        self::assertSame(
            ['#111111', '#333333'],
            [$conflict['things'][0]['theirs']['fill']['colour'], $conflict['things'][0]['yours']['fill']['colour']],
        );
    }

    /**
     * What is found of zones that lie over each other is said anew when one of them changes, and stays when others do;
     * the light of the picture below was looked at by the worker.
     */
    public function testWhatLiesOverAndUnderIsJudgedTogether(): void
    {
        $this->signIn();
        $found = static function (array $answer, string $zone): ?array {
            $zones = $answer['findings']['scenes']['s-rest']['zones'];

            return isset($zones[$zone]) ? array_column($zones[$zone], 'code') : null;
        };
        $stock = $this->call('GET', '/api/sites/harrowmere/stock', null, 200)['media'];
        $lake = array_column($stock, 'id', 'name')['Lake at dawn.jpg'];
        $float = static fn (string $zone, array $size) => [
            'do' => 'float.place',
            'scene' => 's-rest',
            'layout' => 'own',
            'float' => ['zone' => $zone, 'frame' => 'pane:z-right', 'anchor' => 'top', 'offset' => ['0px', '0px']] + [
                'size' => $size,
                'turn' => 0,
            ],
            'before' => null,
        ];
        $words = ['colour' => '#FFFFFF', 'ground' => null] + Sketch::text('Sunrise', 60);
        $bare = $this->edit(
            [
                Sketch::fill('z-right', Sketch::picture($lake)),
                $float('z-words', ['80%', '20%']),
                Sketch::fill('z-words', $words),
            ],
            1,
        );
        self::assertContains('text.contrast_under', $found($bare, 'z-words'));
        $dark = $this->edit([Sketch::fill('z-right', Sketch::colour('#101010'))], 2);
        self::assertNotContains('text.contrast_under', $found($dark, 'z-words') ?? self::fail('not judged again'));

        $covered = $this->edit(
            [$float('z-over', ['100%', '100%']), Sketch::fill('z-over', Sketch::colour('#333333'))],
            3,
        );
        self::assertContains('zone.hidden', $found($covered, 'z-right'));
        $elsewhere = $this->edit([Sketch::fill('z-middle', Sketch::colour('#222222'))], 4);
        self::assertNull($found($elsewhere, 'z-right'), 'stands as it was said');
        $whole = $this->call('GET', '/api/documents/'.self::BOARD, null, 200);
        self::assertContains('zone.hidden', $found($whole, 'z-right'));
    }

    /** What the core can only estimate is a note, until a browser has measured it. */
    public function testABrowsersMeasureIsTheBasisOfWhatIsFound(): void
    {
        $this->signIn();
        $arabic = ['font' => 'Amiri', 'weight' => 400, 'padding' => 0, 'mode' => 'as_set'];
        $arabic += Sketch::text('السفينة التالية', 90);
        $answer = $this->edit([Sketch::fill('z-right', $arabic)], 1);
        $item = $answer['zones']['z-right']['items'][0];
        self::assertTrue($item['approximate']);
        $codes = static fn (array $answer): array => array_column(
            $answer['findings']['scenes']['s-rest']['zones']['z-right'],
            'code',
        );
        self::assertContains('text.approximate', $codes($answer));
        $told = fn (array $line, int $width): int => $this->call('POST', '/api/sites/harrowmere/measures', [
            'lines' => [$line + ['font' => 'Amiri', 'weight' => 400, 'width' => $width]],
        ], 200)['kept'];
        self::assertSame(0, $told(['text' => 'Next boat'], 1), 'that is known better');
        foreach ([[3000, false], [30_000, true]] as [$width, $overflows]) {
            self::assertSame(1, $told(['text' => $item['lines'][0]['text']], $width));
            $whole = $this->call('GET', '/api/documents/'.self::BOARD, null, 200);
            $line = $whole['zones']['z-right']['items'][0]['lines'][0];
            self::assertSame(90 * $width, $line['width_mpx']);
            self::assertNotContains('text.approximate', $codes($whole));
            self::assertSame($overflows, in_array('text.overflows', $codes($whole), true));
        }
        $this->signIn('olga');
        $this->call('POST', '/api/sites/harrowmere/measures', ['lines' => []], 403);
    }

    public function testUndoAndRedoAreOnesOwn(): void
    {
        $this->signIn();
        $this->edit([Sketch::fill('z-right', Sketch::colour('#111111'))], 1);
        $this->edit([Sketch::fill('z-right', Sketch::colour('#222222'))], 2);
        $colours = [];
        foreach (['undo', 'undo', 'redo', 'redo'] as $step) {
            $colours[] = $this->step($step)['documents']['z-right']['fill']['colour'] ?? 'picture';
        }
        self::assertSame(['#111111', 'picture', '#111111', '#222222'], $colours);
        self::assertSame('undo.nothing', $this->step('redo', 409)['code']);

        $this->signIn('ada');
        $this->edit([Sketch::fill('z-right', Sketch::colour('#999999'))], 7);
        $this->signIn();
        $refused = $this->step('undo', 409);
        self::assertSame(['undo.changed_since', 'Ada Wren'], [$refused['code'], $refused['params']['who']]);
    }

    public function testRefusalsSayWhereAndNothingIsHalfDone(): void
    {
        $this->signIn();
        $wrong = $this->edit(
            [Sketch::fill('z-right', Sketch::colour('#111111')), Sketch::fill('z-right', Sketch::colour('blue'))],
            1,
            422,
        );
        $gone = $this->edit(
            [Sketch::fill('z-right', Sketch::colour('#111111')), Sketch::fill('z-none', Sketch::colour('#000000'))],
            1,
            422,
        );

        self::assertSame(['input.colour', '/commands/1/fill/colour'], [$wrong['code'], $wrong['path']]);
        self::assertSame(['document.zone_gone', '/commands/1/zone'], [$gone['code'], $gone['path']]);
        self::assertSame('application/problem+json', $this->response->headers->get('Content-Type'));
        self::assertSame(
            'session.csrf',
            $this->call('POST', '/api/documents/'.self::BOARD.'/batches', [], 403, [
                'HTTP_X_CSRF_TOKEN' => 'wrong',
            ])['code'],
        );
        self::assertSame(1, $this->call('GET', '/api/documents/'.self::BOARD)['revision']);
    }

    /**
     * The client that made a batch had its own earlier ones in mind, not those of others: two batches of one queue
     * stand on one revision, and what another did between is still a choice (review: it was overwritten).
     */
    public function testABatchKeepsTheRevisionItWasMadeOn(): void
    {
        $queue = self::uuid();
        $this->signIn();
        $this->edit([Sketch::fill('z-right', Sketch::colour('#111111'))], 1, client: $queue);
        $this->signIn('ada');
        $this->edit([Sketch::fill('z-middle', Sketch::colour('#222222'))], 2);
        $this->signIn();

        self::assertSame(
            4,
            $this->edit([Sketch::fill('z-right', Sketch::colour('#333333'))], 1, client: $queue)['revision'],
            'one’s own batch is not in the way',
        );
        $conflict = $this->edit([Sketch::fill('z-middle', Sketch::colour('#444444'))], 1, 409, client: $queue);
        self::assertSame(['document.changed_since', 'Ada Wren'], [$conflict['code'], $conflict['params']['who']]);
        self::assertSame(
            'document.changed_since',
            $this->edit([Sketch::fill('z-right', Sketch::colour('#555555'))], 1, 409)['code'],
            'another window of the same person is another queue',
        );
    }

    /** A queue that lags behind its page is told only what the page does not show yet. */
    public function testWhatAPageShowsAlreadyIsNotSaidAgain(): void
    {
        $queue = self::uuid();
        $this->signIn('ada');
        $this->edit([Sketch::fill('z-middle', Sketch::colour('#222222'))], 1);
        $this->signIn();
        $batch = [
            'batch' => self::uuid(),
            'client' => $queue,
            'revision' => 1,
            'shown' => 2,
            'commands' => [Sketch::fill('z-right', Sketch::colour('#333333'))],
        ];
        $answer = $this->call('POST', '/api/documents/'.self::BOARD.'/batches', $batch, 200);
        self::assertSame([['z-right'], []], [array_keys($answer['zones']), $answer['between']]);
        $mine = ['batch' => self::uuid(), 'commands' => [Sketch::fill('z-middle', Sketch::colour('#444444'))]] + $batch;
        $this->call('POST', '/api/documents/'.self::BOARD.'/batches', $mine, 409);
        self::assertSame(
            'input.range',
            $this->call('POST', '/api/documents/'.self::BOARD.'/batches', ['shown' => 9] + $mine, 422)['code'],
        );
    }

    /** The conflict names who changed the place, not who saved last. */
    public function testTheConflictNamesTheRightPerson(): void
    {
        $this->signIn('ada');
        $this->edit([Sketch::fill('z-right', Sketch::colour('#111111'))], 1);
        $this->signIn();
        $this->edit([Sketch::fill('z-middle', Sketch::colour('#222222'))], 2);

        self::assertSame(
            'Ada Wren',
            $this->edit([Sketch::fill('z-right', Sketch::colour('#333333'))], 1, 409)['params']['who'],
        );
    }

    public function testOthersAreSeenWhereTheyAreUntilTheyAreGone(): void
    {
        $this->signIn('ada');
        $asked = '/api/documents/'.self::BOARD.'/since/1';
        self::assertSame([], $this->call('GET', "$asked?spot=z-right", status: 200)['here']);
        $this->signIn();
        $here = fn () => $this->call('GET', $asked, status: 200)['here'];
        self::assertSame([['name' => 'Ada Wren', 'spot' => 'z-right']], $here());
        self::database()->executeStatement('UPDATE presence SET at_ms = at_ms - 15001');
        self::assertSame([], $here());
    }

    public function testTheHistoryIsReadBackPageByPage(): void
    {
        $this->signIn();
        $revision = (int) $this->call('GET', '/api/documents/'.self::BOARD)['revision'];
        for ($step = 0; $step < 105; ++$step) {
            $revision = (int) $this->edit([Sketch::name('z-right', "Name $step")], $revision)['revision'];
        }
        $page = fn (string $before) => array_column(
            $this->call('GET', '/api/documents/'.self::BOARD."/revisions$before", status: 200)['revisions'],
            'number',
        );
        $first = $page('');
        $second = $page('?before='.min($first));

        self::assertCount(100, $first);
        self::assertSame(range($revision, 0), [...$first, ...$second], 'every revision once, the latest first');
    }

    public function testSaysWhatWasDoneSinceAndByWhom(): void
    {
        $this->signIn();
        $this->edit([Sketch::fill('z-right', Sketch::colour('#111111')), Sketch::name('z-right', 'View')], 1);
        $since = $this->call('GET', '/api/documents/'.self::BOARD.'/since/1', null, 200);

        self::assertSame(
            [2, 'Dina Okafor', ['fill.set', 'zone.name'], ['letter' => 'C']],
            [
                $since['revision'],
                $since['revisions'][0]['author'],
                array_column($since['revisions'][0]['labels'], 'code'),
                $since['revisions'][0]['labels'][0]['about'],
            ],
        );
        self::assertSame([], $this->call('GET', '/api/documents/'.self::BOARD.'/since/2', null, 200)['revisions']);
    }
}
