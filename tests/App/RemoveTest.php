<?php

declare(strict_types=1);

namespace UpperPane\Tests\App;

use UpperPane\App\UseCase\Sweep\Sweep;

/** A document goes for a month, and comes back as it was; one that is used does not go. */
final class RemoveTest extends ApiCase
{
    private const DAY_MS = 86_400_000;
    private const GATE = '0b0c1d00-0000-4000-8000-000000000002';

    public function testAStyleGoesWhenNothingUsesIt(): void
    {
        $this->signIn();
        $style = self::uuid();
        $this->call('POST', '/api/sites/harrowmere/styles', ['style' => $style, 'name' => 'Winter'], 201);
        $use = static fn (?string $id): array => [['do' => 'design.style', 'style' => $id]];
        $board = $this->call('GET', '/api/documents/'.self::BOARD, null, 200);
        $this->edit($use($style), 1);
        self::assertSame([$board['name']], $this->uses($style));
        $refused = $this->call('DELETE', "/api/documents/$style", null, 409);
        self::assertSame('document.in_use', $refused['code']);
        self::assertStringContainsString($board['name'], $refused['title']);

        $this->edit($use($board['style']), 2);
        $this->call('DELETE', "/api/documents/$style", null, 204);
        $this->call('DELETE', "/api/documents/$style", null, 204);
        self::assertNotContains('Winter', $this->styles());
        self::assertSame('style.gone', $this->edit($use($style), 3, 422)['code']);
        $name = [['do' => 'style.name', 'name' => 'Snow']];
        self::assertSame('document.removed', $this->edit($name, 0, 409, document: $style)['code']);
        self::assertSame('undo.impossible', $this->step('undo', 409)['code'], 'not even by undo');
        [$gone] = $this->call('GET', '/api/sites/harrowmere/removed', null, 200)['removed'];
        self::assertSame([$style, 'style', 'Winter', 'Dina Okafor', 30], [
            ...[$gone['id'], $gone['kind'], $gone['name'], $gone['by'], $gone['days']],
        ]);

        $this->call('POST', "/api/documents/$style/back", [], 204);
        self::assertContains('Winter', $this->styles());
        self::assertSame('Snow', $this->edit($name, 0, document: $style)['name'], 'as it was, and goes on');
    }

    public function testADesignGoesUnlessASurfaceShowsIt(): void
    {
        $this->signIn();
        self::assertSame('document.in_use', $this->call('DELETE', '/api/documents/'.self::GATE, null, 409)['code']);
        self::assertSame([$this->handed('gate-1')['surface']['name']], $this->uses(self::GATE));
        $copy = self::uuid();
        $this->call('POST', '/api/designs/'.self::BOARD.'/duplicate', ['design' => $copy, 'name' => 'Copy'], 201);
        $this->call('DELETE', "/api/documents/$copy", null, 204);
        $this->call('GET', "/api/documents/$copy", null, 409);
        $listed = $this->call('GET', '/api/sites/harrowmere/designs?find=Copy', null, 200)['designs'];
        self::assertSame([], $listed);

        $sweep = self::getContainer()->get(Sweep::class);
        self::assertSame(0, $sweep(false)['documents']['count'], 'kept for a month');
        self::database()->update('document', ['removed_ms' => 1000 * time() - 31 * self::DAY_MS], ['id' => $copy]);
        self::assertSame(1, $sweep(false)['documents']['count']);
        $this->call('GET', "/api/documents/$copy", null, 404);
    }

    public function testWhatASiteHasOneOfStays(): void
    {
        $this->signIn('ada');
        $elevation = $this->call('GET', '/api/sites/harrowmere/elevation', null, 200);
        foreach ([$elevation['book']['document'], $elevation['surfaces'][0]['document']] as $one) {
            self::assertSame('document.kept', $this->call('DELETE', "/api/documents/$one", null, 409)['code']);
        }
        $this->signIn('olga');
        $this->call('DELETE', '/api/documents/'.self::BOARD, null, 403);
    }

    /** @return list<string> */
    private function uses(string $document): array
    {
        return $this->call('GET', "/api/documents/$document/uses", null, 200)['uses'];
    }

    /** @return list<string> */
    private function styles(): array
    {
        return array_column($this->call('GET', '/api/sites/harrowmere/styles', null, 200)['styles'], 'name');
    }
}
