<?php

declare(strict_types=1);

namespace UpperPane\Tests\App;

use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use Symfony\Component\Routing\RouterInterface;
use UpperPane\Tests\Support\Sketch;

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

    public function testAnswersAreAsDocumented(): void
    {
        $this->assertAnswers('me', 'get', '/api/me', '/api/me');
        $this->signIn();
        $design = '/api/designs/'.self::BOARD;
        $board = '/api/documents/'.self::BOARD;
        $this->assertAnswers('signed in', 'get', '/api/me', '/api/me');
        $this->assertAnswers('elevation', 'get', '/api/sites/harrowmere/elevation', '/api/sites/{site}/elevation');
        $this->assertAnswers('fonts', 'get', '/api/fonts', '/api/fonts');
        $this->assertAnswers('stock', 'get', '/api/sites/harrowmere/stock', '/api/sites/{site}/stock');
        $this->assertAnswers('whole', 'get', $board, '/api/documents/{id}');
        $this->assertAnswers('plan', 'get', "$design/plan?surface=gate-1", '/api/designs/{id}/plan');
        $this->assertAnswers('plans', 'get', "$design/plans?surfaces=gate-1,hall", '/api/designs/{id}/plans');
        $this->assertAnswers('moment', 'get', "$design/moment/5000", '/api/designs/{id}/moment/{tMs}');
        $step = static fn (): array => ['batch' => self::uuid(), 'client' => self::uuid()];
        $commands = [Sketch::split('z-right', 'rows', 1000, 'z-low'), Sketch::fill('z-low', Sketch::colour('#000000'))];
        $this->assertAnswers(
            'batch',
            'post',
            "$board/batches",
            '/api/documents/{id}/batches',
            ['revision' => 1, 'commands' => $commands] + $step(),
        );
        $this->assertAnswers('undo', 'post', "$board/undo", '/api/documents/{id}/undo', $step());
        $this->assertAnswers('redo', 'post', "$board/redo", '/api/documents/{id}/redo', $step());
        $this->assertAnswers('history', 'get', "$board/revisions", '/api/documents/{id}/revisions');
        $this->assertAnswers('since', 'get', "$board/since/1", '/api/documents/{id}/since/{revision}');
        $this->assertAnswers('release', 'post', "$design/releases", '/api/designs/{id}/releases', [
            'revision' => 4,
            'note' => '',
            'made_as' => self::uuid(),
        ]);
        $release = json_decode((string) $this->response->getContent(), true)['release'];
        $this->assertAnswers('sealed', 'get', "/api/releases/$release/plan", '/api/releases/{release}/plan');
        $this->assertAnswers('releases', 'get', "$design/releases", '/api/designs/{id}/releases');
        $this->assertAnswers('hand-off', 'get', '/api/sites/harrowmere/hand-off', '/api/sites/{site}/hand-off');
        $this->assertAnswers('surface', 'get', '/api/surfaces/hall', '/api/surfaces/{surface}');
        $this->assertAnswers('effects', 'post', '/api/surfaces/hall/effects', '/api/surfaces/{surface}/effects', [
            'shape' => $this->sheet('hall')['shape'],
        ]);
        $this->assertAnswers('wire', 'post', '/api/surfaces/hall/wire', '/api/surfaces/{surface}/wire', [
            'way' => 'one_per_output',
        ]);
        $sheet = '/api/documents/'.$this->sheet('hall')['document'];
        $this->assertAnswers('sheet', 'get', $sheet, '/api/documents/{id}');
        $rename = ['revision' => 0, 'commands' => [['do' => 'field.set', 'field' => 'name', 'value' => 'x']]] + $step();
        $this->assertAnswers('change', 'post', "$sheet/batches", '/api/documents/{id}/batches', $rename);
        $this->assertAnswers('modes', 'get', '/api/modes', '/api/modes');
        $this->assertAnswers('figures', 'post', '/api/figures', '/api/figures', [
            'native' => [960, 96],
            'pitch_mm' => [6, 6],
        ]);
        $this->assertAnswers('shape', 'post', '/api/shapes', '/api/shapes', [
            'panels' => [['native' => [960, 96], 'active_mm' => [5760, 576]]],
        ]);
        $this->assertAnswers(
            'a refusal',
            'post',
            "$board/batches",
            '/api/documents/{id}/batches',
            ['batch' => 'short'],
            'default',
        );
    }

    /** @return array<string, mixed> */
    private function sheet(string $surface): array
    {
        return $this->call('GET', "/api/surfaces/$surface");
    }

    /** @param array<string, mixed>|null $body */
    private function assertAnswers(
        string $what,
        string $method,
        string $path,
        string $documented,
        ?array $body = null,
        ?string $response = null,
    ): void {
        $this->call(strtoupper($method), $path, $body);
        $responses = $this->document()->paths->$documented->$method->responses;
        $status = $response ?? (string) $this->response->getStatusCode();
        self::assertObjectHasProperty($status, $responses, "$what: {$this->response->getContent()}");
        $content = array_values(get_object_vars($responses->$status->content))[0];
        $schema = (object) [
            '$defs' => (object) [],
            'components' => $this->document()->components,
            'allOf' => [$content->schema],
        ];
        $result = (new Validator())->validate(
            json_decode((string) $this->response->getContent()),
            json_decode((string) json_encode($schema)),
        );
        $error = $result->error();

        self::assertTrue(
            $result->isValid(),
            $what.': '.($error === null ? '' : json_encode((new ErrorFormatter())->format($error))),
        );
    }

    private function document(): object
    {
        return (object) json_decode((string) file_get_contents(\dirname(__DIR__, 2).'/docs/openapi.json'));
    }
}
