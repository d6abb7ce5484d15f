<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Plan;

use PHPUnit\Framework\TestCase;
use UpperPane\Core\Base\CanonicalJson;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Plan\Inputs\Inputs;
use UpperPane\Core\Plan\PlanContext;
use UpperPane\Core\Preflight\Judgement;
use UpperPane\Core\Site\SurfaceSheet;
use UpperPane\Core\Style\HouseStyle;
use UpperPane\Core\Style\Palette;
use UpperPane\Core\Text\FontFace;
use UpperPane\Core\Text\Fonts;
use UpperPane\Demo\Sketch;
use UpperPane\Tests\Support\Build;
use UpperPane\Tests\Support\TestFonts;

/** What a plan was compiled of, sealed: the same plan on another day, whatever became of the rest (model §11). */
final class InputsTest extends TestCase
{
    public function testThePlanComesAgainByteForByte(): void
    {
        [$plan, $sealed] = self::sealed(Build::context(Build::picture('p', 1200, 800), Build::picture('mark', 40, 40)));
        $again = Inputs::read((array) json_decode($sealed, true))->plan(new TestFonts());

        self::assertSame($plan, CanonicalJson::encode($again->toArray()));
        self::assertStringContainsString(hash('sha256', 'p'), $plan, 'the picture is in it');
    }

    /** A page that let nobody show it when the plan was made is left out again, whatever it would say today. */
    public function testWhatWasKnownOfAPageIsSealed(): void
    {
        $page = ['kind' => 'web', 'address' => 'https://refused.example/', 'width' => 1280, 'scroll' => 0] + [
            'refresh_s' => null,
            'still' => null,
            'ground' => '#FFFFFF',
        ];
        [$judgement, $inputs] = self::recorded(Build::filled(Build::board(), 'a', $page));
        $plan = CanonicalJson::encode($judgement->plan->toArray());
        $again = Inputs::read((array) json_decode(CanonicalJson::encode($inputs->toArray()), true));

        self::assertStringContainsString('"address":""', $plan);
        self::assertSame($plan, CanonicalJson::encode($again->plan(new TestFonts())->toArray()));
    }

    /** A medium that was replaced, one that is gone: the sealed answers are given, not those of today. */
    public function testWhatChangedSinceChangesNothingOfIt(): void
    {
        [$plan, $sealed] = self::sealed(Build::context(Build::picture('p', 1200, 800)));
        [$other] = self::sealed(Build::context(Build::picture('p', 600, 800)));
        $inputs = Inputs::read((array) json_decode($sealed, true));

        self::assertNotSame($plan, $other);
        self::assertSame($plan, CanonicalJson::encode($inputs->plan(new TestFonts())->toArray()));
        self::assertSame($sealed, CanonicalJson::encode($inputs->toArray()), 'read and written, it is the same');
    }

    /** Each part is told apart by its sum, and by nothing that is not drawn. */
    public function testSaysWhichPartIsAnother(): void
    {
        $sums = static fn (Inputs $inputs): array => $inputs->sums();
        $of = static fn (array $how): array => $sums(self::recorded(...$how)[1]);
        $was = $of([]);
        $changed = static fn (array $now): array => array_keys(array_filter(
            $now,
            static fn (mixed $sum, string $part) => $sum !== $was[$part],
            \ARRAY_FILTER_USE_BOTH,
        ));

        self::assertSame([], $changed($of([])));
        self::assertSame(['design'], $changed($of(['design' => self::design('Other words')])));
        self::assertSame(['style'], $changed($of(['style' => self::style('#123456')])));
        self::assertSame(['sheet'], $changed($of(['sheet' => self::sheet(9000)])));
        $replaced = Build::context(Build::picture('p', 1201, 800));
        self::assertSame(['media'], $changed($of(['context' => $replaced])));
    }

    /** Faces are named by their bytes: another face under the same name is no silent stand-in. */
    public function testAFaceThatIsAnotherNowIsRefused(): void
    {
        [, $sealed] = self::sealed(Build::context(Build::picture('p', 1200, 800)));
        $other = new class implements Fonts {
            public function face(string $family, int $weight): FontFace
            {
                return (new TestFonts())->face($family === 'Inter' ? 'Roboto' : 'Inter', $weight);
            }
        };
        try {
            Inputs::read((array) json_decode($sealed, true))->plan($other);
            self::fail('It measures with other bytes.');
        } catch (Refusal $refusal) {
            self::assertSame('inputs.face_gone', $refusal->refusalCode);
        }
    }

    /** @return array{string, string} canonical JSON of the plan and of its inputs */
    private static function sealed(PlanContext $context): array
    {
        [$judgement, $inputs] = self::recorded(context: $context);

        return [CanonicalJson::encode($judgement->plan->toArray()), CanonicalJson::encode($inputs->toArray())];
    }

    /** @return array{Judgement, Inputs} */
    private static function recorded(
        ?Design $design = null,
        ?HouseStyle $style = null,
        ?SurfaceSheet $sheet = null,
        ?PlanContext $context = null,
    ): array {
        $design ??= self::design('Boats leave from the inner pontoon');
        $style ??= self::style('#276B62');
        $sheet ??= self::sheet(4000);
        $context ??= Build::context(Build::picture('p', 1200, 800));
        [$asking, $inputs] = Inputs::recording($design, $style, $sheet, null, $context->styledBy(Palette::of($style)));
        $judgement = Judgement::of($design, $sheet, null, $asking);

        return [$judgement, $inputs()];
    }

    private static function design(string $words): Design
    {
        return Build::filled(
            Build::filled(
                Build::filled(Build::board(), 'a', Sketch::picture('p')),
                'b',
                Sketch::text($words, 60, ['colour' => 'lake@#FFFFFF', 'font' => 'Inter']),
            ),
            'c',
            Sketch::playlist([[Sketch::picture('gone'), 5000], [Sketch::clock('HH:mm', 60), 5000]]),
        );
    }

    private static function style(string $colour): HouseStyle
    {
        return HouseStyle::parse(Input::of([
            'version' => 1,
            'name' => 'Lake',
            'colours' => ['lake' => ['name' => 'Lake', 'hex' => $colour]],
            'types' => [],
            'spaces' => [],
            'mark' => null,
        ]));
    }

    private static function sheet(int $viewingMm): SurfaceSheet
    {
        return SurfaceSheet::fresh([
            'name' => 'Hall',
            'kind' => 'LCD',
            'shape' => ['panels' => [['native' => [1920, 1080], 'active_mm' => [1209.6, 680.4]]]],
            'viewing_mm' => [1000, $viewingMm],
        ], ['hall-1' => 1]);
    }
}
