<?php

declare(strict_types=1);

namespace UpperPane\Tests\App;

use League\Flysystem\FilesystemOperator;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\Process\Process;
use UpperPane\App\Adapter\MediaFiles;
use UpperPane\App\Job\InspectMedia;
use UpperPane\App\Job\MakeVariant;
use UpperPane\App\Repository\Variants;
use UpperPane\Core\Text\File\FontFile;
use UpperPane\Demo\Sketch;
use UpperPane\Tests\Support\Files;

/** What becomes of a file that players cannot show. */
final class StockTest extends ApiCase
{
    /** In no design of the demo. */
    private const FREE = 'Old timetable scan, kept for its lettering, 1000 by 800.jpg';

    public function testTheOriginalIsKeptAndKnownAgain(): void
    {
        $path = Files::path('telephone.mov');
        (new Process([
            ...['ffmpeg', '-v', 'error', '-y', '-f', 'lavfi', '-i', 'testsrc2=size=160x90:rate=25:duration=2'],
            ...['-metadata', 'title='.bin2hex(random_bytes(6)), '-c:v', 'libx265', '-pix_fmt', 'yuv420p', $path],
        ]))->mustRun();
        $this->signIn();
        $sent = $this->upload($path);
        self::assertSame('waiting', $sent['state']);
        $media = $this->looked($sent['id']);
        self::assertSame($media, $this->looked($sent['id']), 'a second look changes nothing');
        self::assertSame([8, false], [$media['depth'], $media['alpha']]);
        self::assertSame(['ready', 'video/mp4', 'video', [160, 90]], [
            $media['state'],
            $media['mime'],
            $media['kind'],
            $media['size'],
        ]);
        self::assertSame(
            ['video/quicktime', filesize($path), 'hevc', ['container', 'codec']],
            [
                $media['original']['mime'],
                $media['original']['bytes'],
                $media['original']['codec'],
                $media['original']['why'],
            ],
        );
        $files = self::getContainer()->get(FilesystemOperator::class);
        self::assertInstanceOf(FilesystemOperator::class, $files);
        $sha256 = (string) hash_file('sha256', $path);
        self::assertSame($sha256, hash('sha256', $files->read(MediaFiles::original($sha256))), 'never changed');
        self::assertSame($media['sha256'], hash('sha256', $files->read(MediaFiles::original($media['sha256']))));

        $again = $this->upload($path);
        self::assertSame([$sent['id'], true], [$again['id'], $again['already'] ?? false]);
    }

    /** An SVG is drawn without its scripts and without what it refers to; a PDF makes a picture of each page. */
    public function testWhatHasNoPxIsDrawn(): void
    {
        $mark = bin2hex(random_bytes(6));
        $svg = Files::bytes('logo.svg', '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 40 20">'.
            "<script>alert('$mark')</script><image href=\"file:///etc/passwd\" width=\"5\" height=\"5\"/>".
            '<rect width="20" height="20" fill="#276B62"/></svg>');
        $this->signIn();
        $drawn = $this->looked($this->upload($svg)['id']);
        self::assertSame(
            ['ready', 'image/png', [3840, 1920], 'SVG', ['drawn']],
            [$drawn['state'], $drawn['mime'], $drawn['size'], $drawn['original']['codec'], $drawn['original']['why']],
        );

        $pdf = Files::path('three.pdf');
        file_put_contents($pdf, self::pdf(3, $mark));
        $first = $this->looked($this->upload($pdf)['id']);
        self::assertSame('PDF, page 1', $first['original']['codec']);
        $names = array_column($this->call('GET', '/api/sites/harrowmere/stock')['media'], 'name');
        foreach (['three.pdf', 'three.pdf (2)', 'three.pdf (3)'] as $name) {
            self::assertContains($name, $names);
        }
    }

    /** A PDF of empty pages, written by hand (ISO 32000-1 §7.5). */
    /** Part by part as tus 1.0.0 has it: what was lost on its way is sent again from where it ended. */
    public function testAFileComesInParts(): void
    {
        $bytes = (string) file_get_contents(Files::bytes('parts.png', self::png()));
        $this->signIn();
        $id = $this->begun($bytes, 'Übersicht, alle.png');
        $send = fn (int $from, string $part) => $this->part($id, $from, $part);
        self::assertSame(204, $send(0, substr($bytes, 0, 40)));
        self::assertSame('40', $this->response->headers->get('Upload-Offset'));
        self::assertSame(409, $send(0, substr($bytes, 0, 40)), 'it has arrived');
        self::assertSame(422, $send(40, substr($bytes, 40).'more'), 'beyond its end');
        self::assertSame(422, $send(40, ''));
        self::assertSame(['received' => 40, 'bytes' => strlen($bytes)], $this->call('GET', "/api/uploads/$id"));
        self::assertSame('stock.upload_elsewhere', $this->call('POST', "/api/uploads/$id/done", null, 409)['code']);
        $this->signIn('ada');
        $this->call('GET', "/api/uploads/$id", null, 404);
        $this->signIn();
        self::assertSame(204, $send(40, substr($bytes, 40)));
        $media = $this->call('POST', "/api/uploads/$id/done", null, 201);
        self::assertSame(['Übersicht, alle.png', hash('sha256', $bytes)], [$media['name'], $media['sha256']]);
        self::assertSame(
            $media['id'],
            $this->call('POST', "/api/uploads/$id/done", null, 201)['id'],
            'asked for again, it answers the same',
        );
        self::assertSame(409, $send(0, substr($bytes, 0, 40)), 'nothing more is taken');
        self::assertSame(412, $this->part($id, 0, 'x', ['HTTP_TUS_RESUMABLE' => '0.2.2']));
        self::assertSame(415, $this->part($id, 0, 'x', ['CONTENT_TYPE' => 'text/plain']));
    }

    /** Names of strangers do not steer what stands beside them. */
    public function testNamesAreCleaned(): void
    {
        $this->signIn();
        $bytes = self::png();
        $id = $this->begun($bytes, "board\u{202E}gnp.\e[31m\r\nX-Header: 1\0.png");
        $this->part($id, 0, $bytes);
        $name = $this->call('POST', "/api/uploads/$id/done", null, 201)['name'];

        self::assertSame('board gnp. [31m X-Header: 1 .png', $name);
    }

    public function testWhatTheStockDoesNotTakeIsRefusedEarly(): void
    {
        $this->signIn();
        $id = $this->begun(str_repeat('x', 900), 'film.mp4');
        self::assertSame(422, $this->part($id, 0, "#!/bin/sh\necho not a film\n"));
        self::assertStringContainsString('stock.type', (string) $this->response->getContent());
        $this->call('DELETE', "/api/uploads/$id", null, 204);
        $this->call('GET', "/api/uploads/$id", null, 404);
        foreach ([[0, 'stock.empty'], [(4 << 30) + 1, 'stock.too_large']] as [$length, $code]) {
            $server = ['HTTP_UPLOAD_LENGTH' => (string) $length];
            $refused = $this->call('POST', '/api/sites/harrowmere/uploads', null, 422, $server);
            self::assertSame($code, $refused['code']);
        }
        // Ten megabytes of nothing, packed, that says it is a font.
        $bomb = Files::path('bomb.ttf');
        $archive = new \ZipArchive();
        $archive->open($bomb, \ZipArchive::CREATE | \ZipArchive::OVERWRITE);
        $archive->addFromString('font.ttf', str_repeat("\0", 10 << 20));
        $archive->close();
        $looked = $this->looked($this->upload($bomb)['id']);
        self::assertSame(['failed', 'stock.page_without_index'], [$looked['state'], $looked['fault']['code']]);
        $this->signIn('olga');
        $this->call('POST', '/api/sites/harrowmere/uploads', null, 403, ['HTTP_UPLOAD_LENGTH' => '9']);
    }

    /** What is used is taken out by who has seen where; there nothing is shown, until it is brought back. */
    public function testAUsedMediumIsTakenOutAndBroughtBack(): void
    {
        $this->signIn('ada');
        $stock = $this->call('GET', '/api/sites/harrowmere/stock')['media'];
        $used = array_values(array_filter($stock, static fn (array $one) => $one['uses'] > 0))[0];
        $path = "/api/stock/$used[id]";
        self::assertSame('stock.in_use', $this->call('DELETE', $path, null, 409)['code']);
        $by = $this->call('GET', "/api/stock/{$used['id']}/uses", status: 200)['by'];
        self::assertSame($used['used_in'], array_column($by, 'name'));
        $this->call('DELETE', "$path?despite=".(count($used['used_in']) + 1), null, 409);
        $this->call('DELETE', "$path?despite=".count($used['used_in']), null, 204);
        $ids = fn () => array_column($this->call('GET', '/api/sites/harrowmere/stock')['media'], 'id');
        self::assertNotContains($used['id'], $ids());
        $this->raw('GET', "/media/$used[sha256]/original", '');
        self::assertSame(404, $this->response->getStatusCode());
        self::assertSame('ready', $this->call('POST', "$path/back", null, 200)['state']);
        self::assertContains($used['id'], $ids());
        self::assertSame('stock.there', $this->call('POST', "$path/back", null, 409)['code']);
    }

    private static function png(): string
    {
        $picture = imagecreatetruecolor(64, 64);
        for ($x = 0; $x < 64; ++$x) {
            imagesetpixel($picture, $x, random_int(0, 63), random_int(0, 0xFFFFFF));
        }
        ob_start();
        imagepng($picture);

        return (string) ob_get_clean();
    }

    private function begun(string $bytes, string $name): string
    {
        $this->raw('POST', '/api/sites/harrowmere/uploads', '', [
            'HTTP_UPLOAD_LENGTH' => (string) strlen($bytes),
            'HTTP_UPLOAD_METADATA' => 'filename '.base64_encode($name),
        ]);
        self::assertSame(201, $this->response->getStatusCode());

        return basename((string) $this->response->headers->get('Location'));
    }

    /** @param array<string, string> $more */
    private function part(string $id, int $from, string $part, array $more = []): int
    {
        $type = ['CONTENT_TYPE' => 'application/offset+octet-stream', 'HTTP_UPLOAD_OFFSET' => (string) $from];
        $this->raw('PATCH', "/api/uploads/$id", $part, $more + $type);

        return $this->response->getStatusCode();
    }

    /** A sound becomes a video of its waves, as long as it is; what only says that it is one is refused. */
    public function testASoundIsTakenInWithItsWaves(): void
    {
        $this->signIn();
        $codecs = ['mp3' => 'libmp3lame', 'wav' => 'pcm_s16le', 'ogg' => 'libvorbis', 'm4a' => 'aac'];
        foreach ($codecs as $form => $codec) {
            $tone = 'sine=duration=3:frequency='.random_int(300, 900);
            $path = Files::path("bell.$form");
            (new Process([
                ...['ffmpeg', '-v', 'error', '-y', '-f', 'lavfi', '-i', $tone],
                ...['-metadata', 'title='.bin2hex(random_bytes(4)), '-c:a', $codec, $path],
            ]))->mustRun();
            $sound = $this->looked($this->upload($path)['id']);
            self::assertSame(
                ['ready', 'video', 'video/mp4', ['sound']],
                [$sound['state'], $sound['kind'], $sound['mime'], $sound['original']['why'] ?? []],
                $form,
            );
            self::assertEqualsWithDelta(3000, $sound['duration_ms'], 120, $form);
        }
    }

    /** A large picture in a small pane: players get one with px enough for it, and so do bench and preview. */
    public function testAPictureIsMadeForWhereItIsShown(): void
    {
        $this->signIn();
        $stock = $this->call('GET', '/api/sites/harrowmere/stock')['media'];
        $lake = array_column($stock, null, 'name')['Lake at dawn.jpg'];
        $shown = fn () => array_column(
            $this->call('GET', '/api/designs/'.self::BOARD.'/plan')['plan']['scenes']['s-rest']['zones'],
            null,
            'id',
        )['z-right']['items'][0];
        $this->edit([Sketch::fill('z-right', ['quality' => 'small'] + Sketch::picture($lake['id'], 'contain'))], 1);
        self::assertSame($lake['sha256'], $shown()['sha256'], 'as it is, as long as none is made');

        $wanted = [];
        $variants = self::getContainer()->get(Variants::class);
        self::assertInstanceOf(Variants::class, $variants);
        $variants->order(100, static function (array $one) use (&$wanted): void {
            $wanted[] = $one;
        });
        self::assertSame(0, $variants->order(100, static fn () => self::fail('ordered twice')));
        $make = self::getContainer()->get(MakeVariant::class);
        self::assertInstanceOf(MakeVariant::class, $make);
        array_map($make->handle(...), array_filter($wanted, static fn (array $one) => $one['quality'] === 'small'));

        $item = $shown();
        self::assertNotSame($lake['sha256'], $item['sha256']);
        self::assertGreaterThanOrEqual($item['drawn_mpx'][2] / 1000, $item['delivered']['px'][0]);
        self::assertLessThan($lake['bytes'] / 4, $item['delivered']['bytes']);
        $files = self::getContainer()->get(FilesystemOperator::class);
        self::assertInstanceOf(FilesystemOperator::class, $files);
        $made = $files->read(MediaFiles::original($item['sha256']));
        self::assertSame($item['sha256'], hash('sha256', $made));
        self::assertSame($item['delivered']['px'], array_slice(getimagesizefromstring($made) ?: [], 0, 2));
        $this->raw('GET', "/media/$item[sha256]/original", '');
        self::assertSame(200, $this->response->getStatusCode());
        $this->raw('GET', "/media/$item[sha256]/thumbnail", '');
        self::assertSame(200, $this->response->getStatusCode(), 'that of the picture it was made of');
    }

    /** A face of the Stock is one to write in, and stays in the Stock as long as something is written in it. */
    public function testAFontIsTakenIn(): void
    {
        $path = '/usr/share/fonts/truetype/roboto/unhinted/RobotoTTF/Roboto-Thin.ttf';
        $this->signIn();
        $font = $this->looked($this->upload($path)['id']);
        self::assertSame(
            ['ready', 'font', ['family' => 'Roboto', 'weight' => 250, 'embedding' => 'installable']],
            [$font['state'], $font['kind'], array_diff_key($font['font'], ['glyphs' => 0])],
        );
        $known = fn () => array_column($this->call('GET', '/api/sites/harrowmere/fonts')['fonts'], 'weight', 'file');
        self::assertSame(250, $known()[$font['sha256']]);

        $thin = ['font' => 'Roboto', 'weight' => 250] + Sketch::text('Thin', 60);
        $stock = fn () => $this->call('GET', '/api/sites/harrowmere/stock')['media'];
        $uses = fn () => array_column($stock(), 'uses', 'id')[$font['id']];
        self::assertSame(0, $uses());
        $this->edit([Sketch::fill('z-right', $thin)], 1);
        self::assertSame(1, $uses(), 'where it is written in is where it is used');
        self::assertCount(1, $this->call('GET', "/api/stock/{$font['id']}/uses", status: 200)['by']);
        $plan = $this->call('GET', '/api/designs/'.self::BOARD.'/plan')['plan'];
        self::assertContains(['family' => 'Roboto', 'weight' => 250, 'file' => $font['sha256']], $plan['fonts']);
        self::assertContains($font['sha256'], array_column($plan['media'], 'sha256'), 'goes to players with the media');

        $this->signIn('ada');
        $used = $this->call('DELETE', "/api/stock/$font[id]", null, 409);
        self::assertSame('stock.in_use', $used['code']);
        $this->edit([Sketch::fill('z-right', Sketch::colour('#123456'))], 2);
        $this->call('DELETE', "/api/stock/$font[id]", null, 204);
        self::assertArrayNotHasKey($font['sha256'], $known());
        $this->step('undo');
        self::assertSame('waiting', $this->upload($path)['state'], 'and back');
        self::assertSame('ready', $this->looked($font['id'])['state']);
        $this->step('redo');
    }

    /** @return iterable<string, array{string, string}> */
    public static function badFonts(): iterable
    {
        $whole = (string) file_get_contents('/usr/share/fonts/truetype/roboto/unhinted/RobotoTTF/Roboto-Italic.ttf');
        $os2 = FontFile::ofBytes($whole)->tables['OS/2'];

        yield 'cut off' => [substr($whole, 0, 40_000), 'stock.font_broken'];
        yield 'with a table beyond its end' => [substr_replace($whole, "\xFF\xFF\xFF\xF0", 20, 4), 'stock.font_broken'];
        yield 'not to be embedded' => [substr_replace($whole, "\0\2", $os2 + 8, 2), 'stock.font_restricted'];
        yield 'one that the app brings' => [
            (string) file_get_contents('/usr/share/fonts/truetype/lato/Lato-Regular.ttf')."\0",
            'stock.font_known',
        ];
    }

    #[DataProvider('badFonts')]
    public function testABadFontIsRefused(string $bytes, string $code): void
    {
        $this->signIn();
        $font = $this->looked($this->upload(Files::bytes('bad.ttf', $bytes))['id']);

        self::assertSame(['failed', $code], [$font['state'], $font['fault']['code']]);
    }

    private static function pdf(int $pages, string $mark): string
    {
        $kids = implode(' ', array_map(static fn (int $page) => (2 + $page).' 0 R', range(1, $pages)));
        $objects = ['<< /Type /Catalog /Pages 2 0 R >>', "<< /Type /Pages /Kids [$kids] /Count $pages >>"];
        for ($page = 0; $page < $pages; ++$page) {
            $objects[] = '<< /Type /Page /Parent 2 0 R /MediaBox [0 0 200 100] >>';
        }
        $pdf = "%PDF-1.4\n%$mark\n";
        $offsets = '';
        foreach ($objects as $index => $object) {
            $offsets .= sprintf("%010d 00000 n \n", strlen($pdf));
            $pdf .= ($index + 1)." 0 obj\n$object\nendobj\n";
        }
        $count = count($objects) + 1;

        return "{$pdf}xref\n0 $count\n0000000000 65535 f \n{$offsets}trailer\n<< /Size $count /Root 1 0 R >>\n".
            'startxref'."\n".strlen($pdf)."\n%%EOF\n";
    }

    /** @return array<string, mixed> the medium after the worker's look at it */
    private function looked(string $id): array
    {
        $handler = self::getContainer()->get(InspectMedia::class);
        self::assertInstanceOf(InspectMedia::class, $handler);
        $handler->handle(['media' => $id]);
        self::getContainer()->get('doctrine.orm.entity_manager')->flush();

        return array_column($this->call('GET', '/api/sites/harrowmere/stock')['media'], null, 'id')[$id];
    }

    /** Wherever it is used; what it was is kept and brought back; who saw another version is told. */
    public function testAFileIsReplacedEverywhereAndBroughtBack(): void
    {
        $this->signIn();
        $stock = fn (): array => array_column($this->call('GET', '/api/sites/harrowmere/stock')['media'], null, 'name');
        ['Lake at dawn.jpg' => $lake, 'Hall view.jpg' => $used, self::FREE => $free] = $stock();
        self::assertSame(0, $free['uses']);
        $video = $stock()['Evening crossing.webm'];
        $replace = fn (string $seen, string $with, int $status = 200): array => $this->call(
            'POST',
            "/api/stock/{$lake['id']}/replace",
            ['seen' => $seen, 'with' => $with],
            $status,
        );
        self::assertSame('stock.other_kind', $replace($lake['sha256'], $video['id'], 422)['code']);
        self::assertSame('stock.no_version', $replace($lake['sha256'], str_repeat('0', 64), 422)['code']);

        $after = $replace($lake['sha256'], $free['id']);
        self::assertSame(
            [$lake['id'], $free['sha256'], $lake['uses']],
            [$after['id'], $after['sha256'], $after['uses']],
        );
        self::assertSame(
            [$lake['sha256'], 'Dina Okafor'],
            [$after['earlier'][0]['sha256'], $after['earlier'][0]['by']],
        );
        self::assertNotContains($free['id'], array_column($stock(), 'id'), 'it has become the other one');
        $plan = $this->call('GET', '/api/documents/0b0c1d00-0000-4000-8000-000000000001');
        self::assertStringContainsString($free['sha256'], (string) json_encode($plan), 'designs show it');
        self::assertStringNotContainsString($lake['sha256'], (string) json_encode($plan['plans'] ?? $plan));

        $conflict = $replace($lake['sha256'], $used['id'], 409);
        self::assertSame(
            ['stock.changed', $free['sha256'], $lake['sha256']],
            [$conflict['code'], $conflict['theirs']['sha256'], $conflict['yours']['sha256']],
        );
        $back = $replace($free['sha256'], $lake['sha256']);
        self::assertSame([$lake['sha256'], [$free['sha256']]], [
            $back['sha256'],
            array_column($back['earlier'], 'sha256'),
        ]);
        self::assertContains($used['id'], array_column($stock(), 'id'));
        $this->signIn('emil');
        $replace($lake['sha256'], $free['sha256'], 403);
    }

    public function testAFileThatFoundNoRoomIsNotCalledBroken(): void
    {
        $this->signIn('ada');
        foreach ([\UPLOAD_ERR_CANT_WRITE, \UPLOAD_ERR_NO_TMP_DIR] as $fault) {
            self::assertSame('stock.no_room', $this->upload(Files::picture('room.jpg', 9, 9), $fault)['code']);
            self::assertSame(507, $this->response->getStatusCode());
        }
        $cut = $this->upload(Files::picture('cut.jpg', 9, 9), \UPLOAD_ERR_PARTIAL);
        self::assertSame([422, 'stock.upload_broken'], [$this->response->getStatusCode(), $cut['code']]);
    }

    /**
     * @param int $fault as PHP says it
     *
     * @return array<string, mixed>
     */
    private function upload(string $path, int $fault = \UPLOAD_ERR_OK): array
    {
        $copy = Files::path('sent-'.bin2hex(random_bytes(3)));
        copy($path, $copy);
        $this->raw('POST', '/api/sites/harrowmere/stock', '', ['CONTENT_TYPE' => 'multipart/form-data'], [
            'file' => new UploadedFile($copy, basename($path), null, $fault, true),
        ]);

        return (array) json_decode((string) $this->response->getContent(), true);
    }
}
