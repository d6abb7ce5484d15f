<?php

declare(strict_types=1);

namespace UpperPane\Tests\App;

use Doctrine\DBAL\Connection;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\Routing\RouterInterface;
use UpperPane\Demo\Sketch;
use UpperPane\Tests\Support\Contract;
use UpperPane\Tests\Support\Files;

/** docs/openapi.json against the routes there are and against real answers. */
final class OpenApiTest extends ApiCase
{
    public function testDocumentsEveryRouteUnderApi(): void
    {
        $documented = $there = [];
        foreach ($this->document()->paths as $path => $methods) {
            foreach (get_object_vars($methods) as $method => $operation) {
                $documented[] = strtoupper($method)." $path {$operation->operationId}";
            }
        }
        foreach (self::getContainer()->get(RouterInterface::class)->getRouteCollection() as $name => $route) {
            if (str_starts_with($route->getPath(), '/api/')) {
                $there[] = $route->getMethods()[0]." {$route->getPath()} $name";
            }
        }

        self::assertEqualsCanonicalizing($there, $documented);
    }

    /** Every answer of every test is held against the document ({@see Contract}); here every operation gives one. */
    public function testEveryOperationAnswersAsDocumented(): void
    {
        Contract::forget();
        $this->call('GET', '/api/openapi.json', status: 200);
        $this->call('GET', '/api/time', status: 200);
        $this->signIn();
        $step = static fn (): array => ['batch' => self::uuid(), 'client' => self::uuid()];
        $this->ofSites();
        $this->ofDesigns($step);
        $this->ofSurfaces($step);
        $this->ofPlayers();
        $this->call('DELETE', '/api/session', status: 204);

        self::assertSame([], Contract::untried());
    }

    private function ofSites(): void
    {
        $this->call('GET', '/api/me', status: 200);
        // Elsewhere: what this test itself does with sessions is another connection's.
        $database = self::getContainer()->get(Connection::class);
        $times = ['sess_time' => time(), 'sess_lifetime' => time() + 99];
        $database->insert('session', ['sess_id' => 'elsewhere', 'sess_data' => ''] + $times);
        $dina = $database->fetchOne("SELECT id FROM person WHERE email = 'dina@harrowmere.example'");
        $there = ['session' => 'elsewhere', 'name' => 'there', 'person_id' => $dina, 'address' => '', 'agent' => ''];
        $database->insert('signed_in', ['since_s' => time()] + $there);
        $this->call('GET', '/api/me/sessions', status: 200);
        $this->call('DELETE', '/api/me/sessions/there', status: 204);
        $this->call('GET', '/api/sites/harrowmere/elevation', status: 200);
        $stock = array_column(
            $this->call('GET', '/api/sites/harrowmere/stock', status: 200)['media'],
            null,
            'name',
        );
        ['Lake at noon.jpg' => $one, 'Harbour at dusk.png' => $other] = $stock;
        $by = ['seen' => $one['sha256'], 'with' => $other['id']];
        $this->call('POST', "/api/stock/{$one['id']}/replace", $by, 200);
        $file = (string) tempnam(sys_get_temp_dir(), 'upload');
        imagepng(imagecreatetruecolor(3, 2) ?: self::fail('no picture'), $file);
        $upload = ['file' => new UploadedFile($file, 'small.png', test: true)];
        $this->raw('POST', '/api/sites/harrowmere/stock', '', ['CONTENT_TYPE' => 'multipart/form-data'], $upload);
        unlink($file);
        $media = json_decode((string) $this->response->getContent(), true)['id'];
        $this->call('DELETE', "/api/stock/$media", status: 204);
        $this->call('POST', "/api/stock/$media/back", status: 200);
        $this->call('GET', '/api/sites/harrowmere/stock/allowed', status: 204);
        $this->call('GET', '/api/sites/harrowmere/fonts', status: 200);
        $this->call('GET', '/api/sites/harrowmere/when?words=daily+6-9', status: 200);
        $line = ['font' => 'Roboto', 'weight' => 400, 'text' => 'ไทย', 'width' => 1500];
        $this->call('POST', '/api/sites/harrowmere/measures', ['lines' => [$line]], 200);
        $this->call('GET', '/api/modes', status: 200);
        $this->call('POST', '/api/figures', ['native' => [960, 96], 'pitch_mm' => [6, 6]], 200);
        $this->call(
            'POST',
            '/api/shapes',
            ['panels' => [['native' => [960, 96], 'active_mm' => [5760, 576]]]],
            200,
        );
        $edid = (string) file_get_contents(\dirname(__DIR__).'/cases/edid/handmade.edid');
        $this->raw('POST', '/api/edid', $edid, ['CONTENT_TYPE' => 'application/octet-stream']);
    }

    /** @param \Closure(): array<string, string> $step */
    private function ofDesigns(\Closure $step): void
    {
        $style = self::uuid();
        $this->call('POST', '/api/sites/harrowmere/styles', ['style' => $style, 'name' => 'Removed'], 201);
        $this->call('GET', "/api/documents/$style/uses", status: 200);
        $this->call('DELETE', "/api/documents/$style", status: 204);
        $this->call('GET', '/api/sites/harrowmere/removed', status: 200);
        $this->call('POST', "/api/documents/$style/back", [], 204);
        [$design, $board] = ['/api/designs/'.self::BOARD, '/api/documents/'.self::BOARD];
        $made = ['design' => self::uuid(), 'name' => 'New'];
        $this->call('POST', '/api/surfaces/booking/designs', $made, 201);
        $this->call('POST', "$design/duplicate", ['design' => self::uuid(), 'name' => 'Again'], 201);
        $size = ['px' => [640, 64], 'pitch_mm' => 2.5];
        $kept = ['starter' => 'k-1', 'name' => 'Kept', 'scene' => 's-rest', 'layout' => 'own'];
        $this->call('POST', "$design/starters", $kept + $step(), 200);
        $sized = ['design' => self::uuid(), 'name' => 'Sign', 'canvas' => $size];
        $this->call('POST', '/api/sites/harrowmere/designs', $sized, 201);
        $playlist = ['design' => self::uuid(), 'name' => 'Offers', 'canvas' => $size];
        $this->call('POST', '/api/sites/harrowmere/playlists', $playlist, 201);
        $this->call('GET', '/api/sites/harrowmere/playlists', status: 200);
        $smil = '<smil><head><layout><root-layout width="9" height="9"/></layout></head></smil>';
        $read = ['design' => self::uuid(), 'name' => 'Read', 'pitch_mm' => 0.5, 'smil' => $smil];
        $this->call('POST', '/api/sites/harrowmere/designs/smil', $read, 201);
        $this->call('GET', '/api/sites/harrowmere/designs?find=sign', status: 200);
        $commands = [Sketch::split('z-right', 'rows', 1000, 'z-low'), Sketch::fill('z-low', Sketch::colour('#000000'))];
        $first = $this->call('GET', $board, status: 200)['revision'];
        $this->call('POST', "$board/batches", ['revision' => $first, 'commands' => $commands] + $step(), 200);
        $this->call('POST', "$board/undo", $step(), 200);
        $head = $this->call('POST', "$board/redo", $step(), 200)['revision'];
        $this->call('GET', "$board/revisions", status: 200);
        $this->call('GET', "$board/since/1", status: 200);
        $this->call('POST', "$board/batches", ['batch' => 'short'], 422);
        $this->call('GET', "$design/plan?surface=gate-1", status: 200);
        $this->call('GET', "$design/plans?surfaces=gate-1,hall", status: 200);
        $this->call('GET', "$design/moment?t_ms=5000", status: 200);
        $noted = $this->call('GET', '/api/sites/harrowmere/stock')['media'][0];
        $bytes = (string) file_get_contents(Files::bytes('part.svg', '<svg xmlns="http://www.w3.org/2000/svg"/>'));
        $length = ['HTTP_UPLOAD_LENGTH' => (string) strlen($bytes)];
        foreach (['done', 'given up'] as $end) {
            $this->call('POST', '/api/sites/harrowmere/uploads', null, 201, $length);
            $upload = (string) $this->response->headers->get('Location');
            $this->call('GET', $upload, status: 200);
            $this->raw('PATCH', $upload, $bytes, [
                'HTTP_UPLOAD_OFFSET' => '0',
                'CONTENT_TYPE' => 'application/offset+octet-stream',
            ]);
            $end === 'done'
                ? $this->call('POST', "$upload/done", null, 201)
                : $this->call('DELETE', $upload, null, 204);
        }
        $this->call('GET', "/api/stock/{$noted['id']}/uses", status: 200);
        $notes = ['tags' => ['lake'], 'licence' => 'ours', 'until' => '2099-12-31'];
        $seen = ['seen' => $noted['notes'], 'notes' => $notes];
        $this->call('POST', "/api/stock/{$noted['id']}/notes", $seen, 200);
        $style = self::uuid();
        $this->call('POST', '/api/sites/harrowmere/styles', ['style' => $style, 'name' => 'House'], 201);
        $tokens = ['red' => ['$type' => 'color', '$value' => '#A63D2A']];
        $this->call('POST', "/api/styles/$style/tokens", ['tokens' => $tokens] + $step(), 200);
        $this->call('GET', "/api/styles/$style/tokens", status: 200);
        $this->call('GET', '/api/sites/harrowmere/styles', status: 200);
        $this->call('GET', "$design/styled?styles=$style", status: 200);
        $this->raw('GET', "$design/sheet.pdf", '');
        $this->call('GET', "$design/revisions/1", status: 200);
        $this->call('POST', "$design/restore", ['revision' => $head, 'to' => $first] + $step(), 200);
        $head = $this->call('POST', "$board/undo", $step(), 200)['revision'];
        $sealed = ['revision' => $head, 'note' => '', 'made_as' => self::uuid()];
        $release = $this->call('POST', "$design/releases", $sealed, 201)['release'];
        $this->call('GET', "/api/releases/$release/plan", status: 200);
        $this->call('GET', "$design/releases", status: 200);
        self::getContainer()->get(Connection::class)->delete('part', ['document_id' => $made['design']]);
        $this->call('POST', "/api/documents/{$made['design']}/mend", ['batch' => self::uuid()], 200);
    }

    /** @param \Closure(): array<string, string> $step */
    private function ofSurfaces(\Closure $step): void
    {
        $hall = $this->call('GET', '/api/surfaces/hall', status: 200);
        $this->call('POST', '/api/surfaces/hall/effects', ['shape' => $hall['shape']], 200);
        $this->call('POST', '/api/surfaces/hall/wire', ['way' => 'one_per_output'], 200);
        $this->call('GET', '/api/documents/'.$hall['document'], status: 200);
        $rename = ['revision' => 0, 'commands' => [['do' => 'field.set', 'field' => 'name', 'value' => 'x']]] + $step();
        $this->call('POST', "/api/documents/{$hall['document']}/batches", $rename, 200);
        $new = ['name' => 'New', 'kind' => 'LCD', 'shape' => $hall['shape'], 'made_as' => self::uuid()];
        $this->call('POST', '/api/sites/harrowmere/surfaces', $new, 201);
        $this->call('POST', '/api/surfaces/hall/duplicate', ['name' => 'Copy', 'made_as' => self::uuid()], 201);
    }

    private function ofPlayers(): void
    {
        $this->handOff('gate-1', $this->handed('gate-1')['releases'][0]['release']);
        $this->signIn('theo');
        $token = ['HTTP_AUTHORIZATION' => 'Bearer '.$this->pair('gate-1')['token']];
        $this->raw('GET', '/api/play/gate-1/cards/1', '', $token);
        $proof = ['release' => 1, 'at_ms' => 0, 'offset_ms' => 0, 'stepped' => false, 'zones' => (object) []];
        $this->call('POST', '/api/play/gate-1/proof', $proof, 204, $token);
        $this->raw('GET', '/api/play/gate-1/qr', '');
        $act = ['act' => self::uuid(), 'kind' => 'identify', 'targets' => ['player:gate-1']];
        $this->call('POST', '/api/sites/harrowmere/acts', $act, 201);
        $this->call('GET', '/api/sites/harrowmere/acts', status: 200);
        $this->call('GET', '/api/players/gate-1', status: 200);
        $this->call('POST', "/api/acts/$act[act]/clear", null, 204);
    }

    private function document(): object
    {
        return (object) json_decode((string) file_get_contents(\dirname(__DIR__, 2).'/docs/openapi.json'));
    }
}
