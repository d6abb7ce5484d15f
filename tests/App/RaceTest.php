<?php

declare(strict_types=1);

namespace UpperPane\Tests\App;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use UpperPane\Demo\Sketch;
use UpperPane\Tests\Support\Crowd;
use UpperPane\Tests\Support\Files;

/**
 * Every request that makes something, sent ten times at once to the running app: one thing is made, all get the same
 * answer, and none meets a fault of ours.
 */
final class RaceTest extends TestCase
{
    private static Crowd $crowd;
    private static string $surface = '';
    private static string $design = '';

    /** A surface and a design of its own, at the other site, since what is made here stays. */
    public static function setUpBeforeClass(): void
    {
        self::$crowd = new Crowd((string) getenv('UPPER_PANE_URL'));
        [[, $made]] = self::$crowd->at('/api/sites/aldermoor/surfaces', [self::surface()]);
        self::$surface = $made['surface'];
        self::$design = self::uuid();
        self::$crowd->at('/api/surfaces/'.self::$surface.'/designs', [['design' => self::$design, 'name' => 'Race']]);
        self::$crowd->at('/api/documents/'.self::$design.'/batches', [
            self::batch(0, Sketch::fill('z-'.substr(self::$design, 0, 8), Sketch::colour('#123456'))),
        ]);
        self::$crowd->at('/api/designs/'.self::$design.'/releases', [self::release(1)]);
    }

    /**
     * @return iterable<string, array{\Closure(): array{string, array<string, mixed>}, string}> request, what names it
     */
    public static function making(): iterable
    {
        $revision = static fn () => self::$crowd->ask('GET', '/api/documents/'.self::$design)['revision'];
        $name = static fn () => ['do' => 'design.name', 'name' => 'Race '.self::uuid()];
        yield 'a surface' => [static fn () => ['/api/sites/aldermoor/surfaces', self::surface()], 'surface'];
        yield 'a copy of a surface' => [
            static fn () => [
                '/api/surfaces/'.self::$surface.'/duplicate',
                ['made_as' => self::uuid(), 'name' => 'Copy '.self::uuid()],
            ],
            'surface',
        ];
        yield 'a design' => [
            static fn () => [
                '/api/surfaces/'.self::$surface.'/designs',
                ['design' => self::uuid(), 'name' => 'Race'],
            ],
            'design',
        ];
        yield 'a playlist' => [
            static fn () => [
                '/api/sites/aldermoor/playlists',
                ['design' => self::uuid(), 'name' => 'Race', 'canvas' => ['px' => [640, 64], 'pitch_mm' => 2.5]],
            ],
            'design',
        ];
        yield 'a batch' => [
            static fn () => ['/api/documents/'.self::$design.'/batches', self::batch($revision(), $name())],
            'revision',
        ];
        yield 'an undo' => [
            static fn () => [
                '/api/documents/'.self::$design.'/undo',
                ['batch' => self::uuid(), 'client' => self::uuid()],
            ],
            'revision',
        ];
        yield 'a release' => [
            static fn () => ['/api/designs/'.self::$design.'/releases', self::release($revision())],
            'release',
        ];
        yield 'a hand-off' => [
            static function (): array {
                $surfaces = self::$crowd->ask('GET', '/api/sites/aldermoor/hand-off')['surfaces'];
                $codes = array_column(array_column($surfaces, 'surface'), 'code');
                $line = array_combine($codes, $surfaces)[self::$surface];

                return [
                    '/api/surfaces/'.self::$surface.'/hand-off',
                    [
                        'release' => $line['releases'][0]['release'],
                        'after' => $line['after'],
                        'made_as' => self::uuid(),
                    ],
                ];
            },
            'after',
        ];
        yield 'an act' => [
            static fn () => ['/api/sites/aldermoor/acts', [
                'act' => self::uuid(),
                'kind' => 'identify',
                'targets' => ['surface:'.self::$surface],
            ]],
            'id',
        ];
    }

    /** @param \Closure(): array{string, array<string, mixed>} $request */
    #[DataProvider('making')]
    public function testTenAtOnceMakeOne(\Closure $request, string $name): void
    {
        [$path, $body] = $request();
        $answers = self::$crowd->at($path, array_fill(0, 10, $body));

        foreach ($answers as [$status, $answer]) {
            self::assertContains($status, [200, 201], (string) json_encode($answer));
        }
        self::assertCount(1, array_unique(array_map(static fn (array $answer) => $answer[1][$name], $answers)));
        $again = self::$crowd->at($path, [$body])[0];
        self::assertSame($answers[0][1][$name], $again[1][$name], 'sent again later it is the same one');
    }

    /** Ten people who each want their own, at once: each gets it, or is told who was first. */
    #[DataProvider('making')]
    public function testTenOthersAtOnceNeverMeetAFaultOfOurs(\Closure $request, string $name): void
    {
        $bodies = [];
        for ($i = 0; $i < 10; ++$i) {
            [$path, $bodies[]] = $request();
        }
        foreach (self::$crowd->at($path, $bodies) as [$status, $answer]) {
            self::assertContains($status, [200, 201, 409], (string) json_encode($answer));
            self::assertArrayHasKey($status === 409 ? 'code' : $name, $answer);
        }
    }

    /** The same file twelve times at once is one medium; ten others are ten. */
    public function testOneFileIsOneMedium(): void
    {
        $one = Files::picture('one.png', 30, 30);
        $answers = self::$crowd->upload('/api/sites/aldermoor/stock', array_fill(0, 12, $one));
        self::assertSame([201], array_values(array_unique(array_column($answers, 0))));
        self::assertCount(1, array_unique(array_map(static fn (array $answer) => $answer[1]['id'], $answers)));

        $many = array_map(static fn (int $i) => Files::picture("other-$i.png", 20 + $i, 20), range(1, 10));
        $ids = array_map(
            static fn (array $answer) => $answer[1]['id'],
            self::$crowd->upload('/api/sites/aldermoor/stock', $many),
        );
        self::assertCount(10, array_unique($ids));
    }

    /** @return array<string, mixed> */
    private static function surface(): array
    {
        return [
            'made_as' => self::uuid(),
            'name' => 'Race '.substr(self::uuid(), 0, 8),
            'kind' => 'LCD',
            'shape' => ['panels' => [['native' => [640, 480], 'active_mm' => [640, 480]]]],
        ];
    }

    /**
     * @param array<string, mixed> $command
     *
     * @return array<string, mixed>
     */
    private static function batch(int $revision, array $command): array
    {
        return ['batch' => self::uuid(), 'client' => self::uuid(), 'revision' => $revision, 'commands' => [$command]];
    }

    /** @return array<string, mixed> */
    private static function release(int $revision): array
    {
        return ['revision' => $revision, 'note' => 'Race', 'made_as' => self::uuid()];
    }

    private static function uuid(): string
    {
        return \Symfony\Component\Uid\Uuid::v4()->toRfc4122();
    }
}
