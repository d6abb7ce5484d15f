<?php

declare(strict_types=1);

namespace UpperPane\Tests\App;

use UpperPane\Demo\Sketch;

/** House styles of a site: made, changed, taken from tokens; what designs make of them, and releases keep of them. */
final class StyleTest extends ApiCase
{
    public function testAChangeRestylesWhatNamesIt(): void
    {
        $this->signIn();
        $style = $this->style('Harbour', ['ink' => '#102030', 'paper' => '#F4F1EA']);
        $design = self::uuid();
        $this->call('POST', '/api/surfaces/booking/designs', ['design' => $design, 'name' => 'Styled'], 201);
        $this->edit(
            [
                ['do' => 'design.style', 'style' => $style],
                Sketch::fill('z-'.substr($design, 0, 8), ['kind' => 'colour', 'colour' => 'ink@#000000']),
            ],
            0,
            document: $design,
        );
        $drawn = fn (): string => array_values(
            $this->call('GET', "/api/documents/$design")['zones'],
        )[0]['items'][0]['colour'];
        self::assertSame('#102030', $drawn());
        $released = $this->call('POST', "/api/designs/$design/releases", [
            'made_as' => self::uuid(),
            'revision' => 1,
            'note' => '',
            'surfaces' => ['booking'],
        ], 201);

        $this->put($style, ['do' => 'style.colour', 'id' => 'ink', 'colour' => ['name' => 'Ink', 'hex' => '#405060']]);
        self::assertSame('#405060', $drawn());
        $plan = json_encode($this->call('GET', "/api/releases/{$released['release']}/plan"));
        self::assertStringContainsString('#102030', (string) $plan, 'a release stays as it was made');
        $this->put($style, ['do' => 'style.colour', 'id' => 'ink', 'colour' => null]);
        self::assertSame('#000000', $drawn(), 'as it was chosen');
        $this->step('undo', document: $style);
        self::assertSame('#405060', $drawn());

        $this->put($design, ['do' => 'design.still', 'still' => true]);
        self::assertTrue($this->call('GET', "/api/documents/$design")['still']);
        $media = $this->call('GET', '/api/sites/harrowmere/stock')['media'];
        $pass = array_column($media, 'id', 'name')['Season pass poster.webp'];
        $mark = ['media' => $pass, 'corner' => 'top-left', 'width' => 200, 'margin' => 30];
        $this->put($style, ['do' => 'style.mark', 'mark' => $mark]);
        $scenes = $this->call('GET', "/api/documents/$design")['scenes'];
        self::assertSame([32, 32, 216, 144], array_values($scenes)[0]['mark']['rect']);
        $this->signIn('ada');
        $this->call('DELETE', "/api/stock/$pass", null, 409);
        $this->signIn();
        $other = $this->style('Winter', ['ink' => '#AABBCC']);
        $plans = $this->call('GET', "/api/designs/$design/styled?styles=$style,$other,none")['plans'];
        self::assertSame([[$style, 'Harbour'], [$other, 'Winter']], array_map(
            static fn (array $one) => array_values($one['style']),
            $plans,
        ));
        self::assertStringContainsString('#AABBCC', (string) json_encode($plans[1]['plan']));
    }

    /**
     * Whoever has a design open hears that what it uses is another now, and is never told only a part of what that
     * changes: the answer to an edit made beside the old style holds everything.
     */
    public function testAnOpenDesignHearsWhatItUses(): void
    {
        $this->signIn();
        $style = $this->style('Heard', ['ink' => '#102030']);
        $this->put(self::BOARD, ['do' => 'design.style', 'style' => $style]);
        $open = $this->call('GET', '/api/documents/'.self::BOARD);
        $edit = fn (string $depends, int $revision, string $colour): array => $this->call(
            'POST',
            '/api/documents/'.self::BOARD.'/batches',
            [
                'batch' => self::uuid(),
                'client' => self::uuid(),
                'revision' => $revision,
                'depends' => $depends,
                'commands' => [Sketch::fill('z-right', Sketch::colour($colour))],
            ],
            200,
        );
        $since = fn (): string => $this->call('GET', '/api/documents/'.self::BOARD.'/since/0')['depends'];
        $edited = $edit($open['depends'], $open['revision'], 'ink@#102030');
        self::assertSame([['z-right'], $edited['depends']], [array_keys($edited['zones']), $since()]);
        self::assertSame(explode('.', $open['depends'])[0], explode('.', $edited['depends'])[0]);

        $this->put($style, ['do' => 'style.colour', 'id' => 'ink', 'colour' => ['name' => 'ink', 'hex' => '#445566']]);
        self::assertNotSame($edited['depends'], $since());
        $whole = $edit($edited['depends'], $edited['revision'], 'ink@#102031');
        self::assertTrue($whole['whole'] ?? false);
        self::assertSame(array_keys($open['zones']), array_keys($whole['zones']));
        self::assertSame($whole['depends'], $since());
        self::assertArrayNotHasKey('whole', $edit($whole['depends'], $whole['revision'], 'ink@#102032'));
        $undone = $this->call(
            'POST',
            '/api/documents/'.self::BOARD.'/undo',
            ['batch' => self::uuid(), 'client' => self::uuid(), 'depends' => $edited['depends']],
            200,
        );
        self::assertTrue($undone['whole'] ?? false);

        $before = $since();
        self::database()->executeStatement(
            "UPDATE media SET sha256 = SHA2(sha256, 256) WHERE name = 'Totem view.jpg'",
        );
        self::assertSame($before, $since(), 'a medium that it does not use');
        $gate = '/api/documents/0b0c1d00-0000-4000-8000-000000000002/since/0';
        $used = $this->call('GET', $gate)['depends'];
        self::database()->executeStatement(
            "UPDATE media SET sha256 = SHA2(sha256, 256) WHERE name = 'Totem view.jpg'",
        );
        self::assertNotSame($used, $this->call('GET', $gate)['depends'], 'one that it uses, and was replaced');
        $sheet = $this->call('GET', '/api/surfaces/cafe');
        $before = $since();
        $this->signIn('ada');
        $this->put($sheet['document'], ['do' => 'field.set', 'field' => 'viewing_mm', 'value' => [700, 7700]]);
        self::assertNotSame($before, $since(), 'its surface');
    }

    public function testWhatCannotBeIsRefused(): void
    {
        $this->signIn();
        $style = $this->style('Refused', []);
        $step = static fn (): array => ['batch' => self::uuid(), 'client' => self::uuid()];
        $type = ['name' => 'Title', 'font' => 'No Such Face', 'weight' => 400, 'size' => 90, 'line_height' => 0];
        $this->put($style, ['do' => 'style.type', 'id' => 'title', 'type' => $type], 422);
        $this->put(self::BOARD, ['do' => 'design.style', 'style' => self::uuid()], 422);
        $this->call('POST', "/api/styles/$style/tokens", ['tokens' => ['a' => ['$value' => 1]]] + $step(), 422);
        $this->call('POST', '/api/styles/'.self::BOARD.'/tokens', ['tokens' => ['a' => []]] + $step(), 404);
        $this->call('POST', '/api/sites/harrowmere/styles', ['style' => self::BOARD, 'name' => 'Taken'], 409);

        $file = $this->call('GET', '/api/styles/'.$this->style('Given', ['red' => '#A63D2A']).'/tokens');
        $file['late'] = ['$type' => 'duration', '$value' => ['value' => 8, 'unit' => 'ms']];
        $taken = $this->call('POST', "/api/styles/$style/tokens", ['tokens' => $file] + $step());
        self::assertSame(['late'], $taken['left']);
        self::assertSame(['#A63D2A'], array_column($taken['colours'], 'hex'));
        self::assertSame(['Given', 'Refused'], array_values(array_intersect(
            array_column($this->call('GET', '/api/sites/harrowmere/styles')['styles'], 'name'),
            ['Given', 'Refused'],
        )));
        $this->signIn('emil');
        $this->put($style, ['do' => 'style.name', 'name' => 'Mine'], 403);
    }

    /** @param array<string, string> $colours */
    private function style(string $name, array $colours): string
    {
        $id = self::uuid();
        $made = ['style' => $id, 'name' => $name];
        self::assertSame(['style' => $id], $this->call('POST', '/api/sites/harrowmere/styles', $made, 201));
        self::assertSame(['style' => $id], $this->call('POST', '/api/sites/harrowmere/styles', $made, 201), 'once');
        foreach ($colours as $colour => $hex) {
            $this->put($id, ['do' => 'style.colour', 'id' => $colour, 'colour' => ['name' => $colour, 'hex' => $hex]]);
        }

        return $id;
    }

    /** @param array<string, mixed> $command */
    private function put(string $document, array $command, int $status = 200): void
    {
        $revision = $this->call('GET', "/api/documents/$document")['revision'];
        $this->call('POST', "/api/documents/$document/batches", [
            'batch' => self::uuid(),
            'client' => self::uuid(),
            'revision' => $revision,
            'commands' => [$command],
        ], $status);
    }
}
