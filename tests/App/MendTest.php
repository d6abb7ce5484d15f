<?php

declare(strict_types=1);

namespace UpperPane\Tests\App;

use Doctrine\DBAL\Connection;
use PHPUnit\Framework\Attributes\TestWith;
use UpperPane\Demo\Sketch;

/** What cannot be read takes nothing else with it, says why, and comes back from its history. */
final class MendTest extends ApiCase
{
    private const PLACE = '/api/documents/'.self::BOARD;

    #[TestWith(["UPDATE part SET content = '{\"letter' WHERE document_id = ? AND name LIKE 'zones/%'"])]
    #[TestWith(["DELETE FROM part WHERE document_id = ? AND name LIKE 'zones/%'"])]
    #[TestWith(["DELETE FROM part WHERE document_id = ? AND name LIKE 'scenes/%'"])]
    #[TestWith(["UPDATE part SET content = '{}' WHERE document_id = ? AND name = 'head'"])]
    #[TestWith(['DELETE FROM part WHERE document_id = ?'])]
    public function testADesignComesBackAsItWas(string $damage): void
    {
        $last = $this->edited(3);
        $before = $this->parts();
        $surface = '/api/surfaces/'.$this->call('GET', self::PLACE)['surface']['code'];
        $shape = $this->call('GET', $surface)['shape'];
        $this->damage($damage);

        self::assertSame('document.damaged', $this->call('GET', self::PLACE, status: 422)['code']);
        $this->edit([Sketch::fill('z-right', Sketch::colour('#ffffff'))], $last, 422);
        foreach (['elevation', 'stock', 'hand-off'] as $list) {
            $this->call('GET', "/api/sites/harrowmere/$list", status: 200);
        }
        $effects = $this->call('POST', "$surface/effects", ['shape' => $shape], 200)['designs'];
        self::assertSame('document.damaged', array_column($effects, null, 'id')[self::BOARD]['findings'][0]['code']);

        $batch = self::uuid();
        self::assertSame(['revision' => $last + 1, 'from' => $last], $this->mend($batch, 200));
        self::assertSame($before, $this->parts());
        self::assertSame($last + 1, $this->mend($batch, 200)['revision']);
        self::assertSame('document.whole', $this->mend(self::uuid(), 409)['code']);
        $history = $this->call('GET', self::PLACE.'/revisions', status: 200)['revisions'];
        self::assertSame(['mend', 'document.mend'], [$history[0]['nature'], $history[0]['labels'][0]['code']]);
        self::assertSame('begin', array_pop($history)['nature']);
        $undone = $this->step('undo');
        self::assertSame('#000001', $undone['documents']['z-right']['fill']['colour']);
    }

    public function testWhatIsBehindADamagedCommandIsSaidToBeLost(): void
    {
        $last = $this->edited(4);
        $this->damage("UPDATE part SET content = '' WHERE document_id = ?");
        $gap = $last - 1;
        $this->damage("UPDATE revision SET commands = '[{}]', inverses = '[{}]' WHERE document_id = ? AND number = $gap");

        self::assertSame(['revision' => $last + 1, 'from' => $last - 2], $this->mend(self::uuid(), 200));
        $now = $this->call('GET', self::PLACE, status: 200);
        self::assertSame('#000001', $now['documents']['z-right']['fill']['colour']);
        $label = $this->call('GET', self::PLACE.'/revisions')['revisions'][0]['labels'][0];
        self::assertSame((string) ($last - 2), $label['about']['revision']);
        // From before the gap one may still go on, and be told what others did.
        $this->edit([Sketch::fill('z-right', Sketch::colour('#ffffff'))], $last - 2, 409);
        $this->edit([['do' => 'design.name', 'name' => 'Another']], $last - 2);
    }

    public function testWithoutAnythingKeptItIsToldSo(): void
    {
        $this->edited(1);
        $this->damage("UPDATE part SET content = '' WHERE document_id = ?");
        $this->damage("UPDATE revision SET keyframe = '{}' WHERE document_id = ?");

        self::assertSame('document.lost', $this->mend(self::uuid(), 409)['code']);
    }

    public function testASheetComesBackAndOnlyForThoseWhoMayChangeIt(): void
    {
        $this->signIn('theo');
        $surface = $this->call('GET', '/api/surfaces/booking');
        $document = $surface['document'];
        $database = self::getContainer()->get(Connection::class);
        $database->executeStatement("UPDATE part SET content = '[' WHERE document_id = ?", [$document]);

        $unreadable = $this->call('GET', '/api/sites/harrowmere/elevation', status: 200)['unreadable'];
        self::assertSame([$document], array_column($unreadable, 'document'));
        self::assertSame('document.damaged', $unreadable[0]['why']['code']);
        $this->signIn('emil');
        $this->call('POST', "/api/documents/$document/mend", ['batch' => self::uuid()], 403);
        $this->signIn('theo');
        $this->call('POST', "/api/documents/$document/mend", ['batch' => self::uuid()], 200);
        $mended = $this->call('GET', '/api/surfaces/booking', status: 200);
        self::assertSame($surface['revision'] + 1, $mended['revision']);
        $once = array_flip(['revision', 'undo', 'now_ms']);
        self::assertSame(array_diff_key($surface, $once), array_diff_key($mended, $once));
    }

    /** @return int the revision after so many edits of one zone's colour, from #000000 on */
    private function edited(int $times): int
    {
        $this->signIn();
        $revision = $this->call('GET', self::PLACE)['revision'];
        for ($i = 0; $i < $times; ++$i) {
            $answer = $this->edit([Sketch::fill('z-right', Sketch::colour("#00000$i"))], $revision);
            $revision = $answer['revision'];
        }

        return $revision;
    }

    private function damage(string $sql): void
    {
        self::getContainer()->get(Connection::class)->executeStatement($sql, [self::BOARD]);
    }

    /** @return array<string, mixed> */
    private function mend(string $batch, int $status): array
    {
        return $this->call('POST', self::PLACE.'/mend', ['batch' => $batch], $status);
    }

    /** @return array<string, string> */
    private function parts(): array
    {
        return self::getContainer()->get(Connection::class)->fetchAllKeyValue(
            'SELECT name, content FROM part WHERE document_id = ? ORDER BY name',
            [self::BOARD],
        );
    }
}
