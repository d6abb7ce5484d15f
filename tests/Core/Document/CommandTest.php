<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Document;

use Opis\JsonSchema\Validator;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Swaggest\JsonDiff\JsonPatch;
use UpperPane\Core\Base\CanonicalJson;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Document\Command\BatchResult;
use UpperPane\Core\Document\Design;
use UpperPane\Core\Document\SceneLayout;
use UpperPane\Demo\Sketch;
use UpperPane\Tests\Support\Build;

final class CommandTest extends TestCase
{
    public function testSplitsTheBoardExactly(): void
    {
        $design = Build::board();
        $panes = $design->sizing()->resolve($design->restScene()->tree)->panes;

        self::assertSame([[0, 0, 1320, 880], [1320, 0, 600, 880], [0, 880, 1920, 200]], [$panes['a']->toArray(), $panes['b']->toArray(), $panes['c']->toArray()]);
        self::assertSame(['A', 'C', 'B'], array_map(static fn (string $zone) => $design->restScene()->zone($zone)->letter, ['a', 'b', 'c']));
    }

    /** Whatever is done, the inverse brings the same bytes back (letters given are not given again), and the patch says the same as the command. */
    public function testEveryCommandHasItsInverseAndItsPatch(): void
    {
        $random = new Randomizer(new Mt19937(11));
        $design = Build::filled(Build::board(), 'a', Sketch::playlist([[Sketch::colour('#112233'), 5000], [Sketch::text('Hi', 40), null]]));
        $done = [];
        for ($step = 0; $step < 500; ++$step) {
            try {
                $command = self::randomCommand($random, $design, $step);
                $result = Build::apply($design, $command);
            } catch (Refusal) {
                continue;
            }
            $done[$command['do']] = true;
            self::assertSame(self::bytes($design), self::bytes($result->inverse->apply($result->after)->after), "step $step: ".json_encode($command));
            self::assertSame(self::bytes($result->after), self::patched($design, $result), "patch of step $step: ".json_encode($command));
            $design = $result->after;
        }
        ksort($done);
        self::assertSame(['design.name', 'design.reflow', 'entry.add', 'entry.move', 'entry.remove', 'entry.set', 'fill.set', 'layout.make', 'layout.put', 'mullion.move', 'pane.merge', 'pane.span', 'pane.split', 'part.size', 'split.gutter', 'zone.name'], array_keys($done));
        self::assertTrue((new Validator())->validate(json_decode((string) json_encode($design->toArray())), (string) file_get_contents(\dirname(__DIR__, 3).'/docs/schema/design.schema.json'))->isValid());
        foreach ([false, true] as $stored) {
            self::assertSame(self::bytes($design), self::bytes(Design::parse(Input::of(json_decode((string) json_encode($design->toArray()), true)), $stored)));
        }
    }

    /** Only the two neighbours of a moved line change (model §3). */
    public function testMovesAMullion(): void
    {
        $design = Build::apply(Build::board(), Sketch::split('b', 'columns', 1600, 'd'))->after;
        $moved = Build::apply($design, ['do' => 'mullion.move', 'scene' => 's-rest', 'after' => ['b'], 'at' => 1400])->after;
        $panes = $moved->sizing()->resolve($moved->restScene()->tree)->panes;

        self::assertSame([1400, 200, 320], [$panes['a']->width, $panes['b']->width, $panes['d']->width]);
        self::assertSame(['part:a', 'part:b'], Build::apply($moved, ['do' => 'mullion.move', 'scene' => 's-rest', 'after' => ['b'], 'at' => 1410])->writes, 'the third part is left to others');
        $this->expectExceptionMessage('Keep it between');
        try {
            Build::apply($design, ['do' => 'mullion.move', 'scene' => 's-rest', 'after' => ['b'], 'at' => 1600]);
        } catch (Refusal $refusal) {
            throw new \RuntimeException($refusal->mend());
        }
    }

    public function testATypedSizeIsTakenByTheSharesOrTheNeighbour(): void
    {
        $design = Build::board();
        $wide = Build::apply($design, Sketch::size('b', '500px'), Sketch::size('a', '1400px'))->after;
        $panes = $wide->sizing()->resolve($wide->restScene()->tree)->panes;

        self::assertSame([1400, 520], [$panes['a']->width, $panes['b']->width], 'the last typed wins, its neighbour gives way');
        foreach (['2000px' => 'glaze.too_large', '12' => 'glaze.size', '-3px' => 'glaze.size', 'NaN' => 'glaze.size'] as $typed => $code) {
            try {
                Build::apply($design, Sketch::size('a', (string) $typed));
                self::fail("$typed was taken");
            } catch (Refusal $refusal) {
                self::assertSame([$code, '/commands/0/size'], [$refusal->refusalCode, $refusal->path]);
            }
        }
    }

    /** Two people: different zones do not meet, the same zone does, and a gone zone is refused. */
    public function testKnowsWhatMeets(): void
    {
        $design = Build::board();
        $fillA = Build::apply($design, Sketch::fill('a', Sketch::colour('#000000')));
        $fillB = Build::apply($design, Sketch::fill('b', Sketch::colour('#FFFFFF')));
        $merge = Build::apply($design, ['do' => 'pane.merge', 'scene' => 's-rest', 'pane' => 'b', 'into' => 'a']);

        self::assertFalse($fillA->meets($fillB->writes));
        self::assertTrue($fillB->meets($merge->writes));
        self::assertTrue($fillA->meets($fillA->writes));
        $this->expectException(Refusal::class);
        Build::apply($merge->after, Sketch::fill('b', Sketch::colour('#FFFFFF')));
    }

    /** @return array<string, mixed> */
    private static function randomCommand(Randomizer $random, Design $design, int $step): array
    {
        $scene = $design->restScene()->turned !== null && $random->getInt(0, 1) === 0 ? 's-rest.turned' : 's-rest';
        $layout = SceneLayout::of($design, $scene);
        $zones = $layout->tree->paneIds();
        $zone = $zones[$random->getInt(0, count($zones) - 1)];
        $mullions = $layout->resolved()->mullions;
        $line = $mullions === [] ? null : $mullions[$random->getInt(0, count($mullions) - 1)];
        $here = ['scene' => 's-rest', 'zone' => 'a'];
        $entry = ['id' => "n$step", 'fill' => Sketch::colour('#445566'), 'duration_ms' => 1000, 'enabled' => true, 'transition' => ['kind' => 'cut', 'ms' => 0]];
        $playing = ($design->restScene()->zones['a'] ?? null)?->fill()->toArray()['entries'] ?? [];
        $known = $playing === [] ? 'none' : $playing[$random->getInt(0, count($playing) - 1)]['id'];

        $missing = $layout->missing()[0]->id ?? "z$step";

        return match ($random->getInt(0, 14)) {
            0 => ['do' => 'design.name', 'name' => "Name $step 北京"],
            1, 2 => ['scene' => $scene, 'new_split' => "g$step"] + Sketch::split($zone, $random->getInt(0, 1) === 0 ? 'rows' : 'columns', $random->getInt(0, 1900), $missing),
            3 => ['do' => 'pane.merge', 'scene' => $scene, 'pane' => ($line->partIds[1] ?? 'a') === 'a' ? 'none' : $line->partIds[1], 'into' => $line->partIds[0] ?? 'none'],
            4 => ['do' => 'mullion.move', 'scene' => $scene, 'after' => [$line->partIds[1] ?? 'none'], 'at' => ($line->at ?? 0) + $random->getInt(-40, 40)],
            5 => ['scene' => $scene] + Sketch::size($zone, $random->getInt(50, 700).($random->getInt(0, 1) === 0 ? 'px' : 'fr')),
            6 => ['do' => 'split.gutter', 'scene' => $scene, 'split' => $line->splitId ?? 'none', 'gutter' => $random->getInt(0, 20)],
            7 => $zone === 'a' ? Sketch::name('a', 'Main') : Sketch::fill($zone, Sketch::clock('HH:mm', 90)),
            8 => ['do' => 'entry.add', 'entry' => $entry, 'before' => $known === 'none' ? null : $known] + $here,
            9 => ['do' => 'entry.remove', 'entry' => count($playing) < 2 ? 'none' : $known] + $here,
            11 => ['do' => 'pane.span', 'scene' => $scene, 'pane' => $zone, 'over' => [[$x = $random->getInt(0, 1800), $y = $random->getInt(0, 1000), $random->getInt(1, 1920 - $x), $random->getInt(1, 1080 - $y)]], 'new' => "s$step"],
            12 => ['do' => 'layout.make', 'scene' => 's-rest', 'way' => $random->getInt(0, 1) === 0 ? 'same' : 'crossed'],
            13 => $random->getInt(0, 3) > 0 ? ['do' => 'design.reflow', 'by' => ['short_side', 'same_mm', 'same_px'][$random->getInt(0, 2)]] : ['do' => 'layout.put', 'scene' => 's-rest', 'glazing' => null, 'zones' => []],
            10 => ['do' => 'entry.move', 'entry' => $known, 'before' => null] + $here,
            default => ['do' => 'entry.set', 'entry' => ['id' => $known, 'enabled' => false] + $entry] + $here,
        };
    }

    private static function patched(Design $design, BatchResult $result): string
    {
        $document = json_decode((string) json_encode($design->toArray()));
        JsonPatch::import(json_decode((string) json_encode($result->patch)))->apply($document);
        $array = json_decode((string) json_encode($document), true);
        unset($array['letters_used']);

        return CanonicalJson::encode($array);
    }

    private static function bytes(Design $design): string
    {
        $array = json_decode((string) json_encode($design->toArray()), true);
        unset($array['letters_used']);

        return CanonicalJson::encode($array);
    }
}
