<?php

declare(strict_types=1);

namespace UpperPane\Tests\App;

use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use Symfony\Component\Routing\RouterInterface;
use UpperPane\Demo\Sketch;

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
        $this->assertAnswers('elevation', 'get', '/api/sites/harrowmere/elevation', '/api/sites/{site}/elevation');
        $this->assertAnswers('fonts', 'get', '/api/fonts', '/api/fonts');
        $this->assertAnswers('stock', 'get', '/api/sites/harrowmere/stock', '/api/sites/{site}/stock');
        $this->assertAnswers('whole', 'get', $design, '/api/designs/{id}');
        $this->assertAnswers('plan', 'get', "$design/plan?surface=gate-1", '/api/designs/{id}/plan');
        $this->assertAnswers('plans', 'get', "$design/plans?surfaces=gate-1,hall", '/api/designs/{id}/plans');
        $this->assertAnswers('moment', 'get', "$design/moment/5000", '/api/designs/{id}/moment/{tMs}');
        $this->assertAnswers('batch', 'post', "$design/batches", '/api/designs/{id}/batches', ['batch' => self::uuid(), 'revision' => 1, 'commands' => [Sketch::split('z-right', 'rows', 1000, 'z-low'), Sketch::fill('z-low', Sketch::colour('#000000'))]]);
        $this->assertAnswers('undo', 'post', "$design/undo", '/api/designs/{id}/undo', ['batch' => self::uuid()]);
        $this->assertAnswers('history', 'get', "$design/revisions", '/api/designs/{id}/revisions');
        $this->assertAnswers('release', 'post', "$design/releases", '/api/designs/{id}/releases', ['revision' => 3, 'note' => '']);
        $this->assertAnswers('releases', 'get', "$design/releases", '/api/designs/{id}/releases');
        $this->assertAnswers('hand-off', 'get', '/api/hand-off', '/api/hand-off');
        $this->assertAnswers('surface', 'get', '/api/surfaces/hall', '/api/surfaces/{surface}');
        $this->assertAnswers('effects', 'post', '/api/surfaces/hall/effects', '/api/surfaces/{surface}/effects', ['set' => ['name' => 'x']]);
        $this->assertAnswers('wire', 'post', '/api/surfaces/hall/wire', '/api/surfaces/{surface}/wire', ['way' => 'one_per_output']);
        $this->assertAnswers('change', 'post', '/api/surfaces/hall/changes', '/api/surfaces/{surface}/changes', ['change' => self::uuid(), 'revision' => 0, 'set' => ['name' => 'x']]);
        $this->assertAnswers('modes', 'get', '/api/modes', '/api/modes');
        $this->assertAnswers('figures', 'post', '/api/figures', '/api/figures', ['native' => [960, 96], 'pitch_mm' => [6, 6]]);
        $this->assertAnswers('shape', 'post', '/api/shapes', '/api/shapes', ['panels' => [['native' => [960, 96], 'active_mm' => [5760, 576]]]]);
        $this->assertAnswers('a refusal', 'post', "$design/batches", '/api/designs/{id}/batches', ['batch' => 'short'], 'default');
    }

    /** @param array<string, mixed>|null $body */
    private function assertAnswers(string $what, string $method, string $path, string $documented, ?array $body = null, ?string $response = null): void
    {
        $this->call(strtoupper($method), $path, $body);
        $responses = $this->document()->paths->$documented->$method->responses;
        $status = $response ?? (string) $this->response->getStatusCode();
        self::assertObjectHasProperty($status, $responses, "$what: {$this->response->getContent()}");
        $content = array_values(get_object_vars($responses->$status->content))[0];
        $schema = (object) ['$defs' => (object) [], 'components' => $this->document()->components, 'allOf' => [$content->schema]];
        $result = (new Validator())->validate(json_decode((string) $this->response->getContent()), json_decode((string) json_encode($schema)));
        $error = $result->error();

        self::assertTrue($result->isValid(), $what.': '.($error === null ? '' : json_encode((new ErrorFormatter())->format($error))));
    }

    private function document(): object
    {
        return (object) json_decode((string) file_get_contents(\dirname(__DIR__, 2).'/docs/openapi.json'));
    }
}
