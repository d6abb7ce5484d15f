<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Layout;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Layout\Arithmetic;
use UpperPane\Core\Layout\Typed;

/** What people type into fields for lengths. */
final class ArithmeticTest extends TestCase
{
    #[TestWith(['1920/3', '640px', '640px'])]
    #[TestWith(['50%-8', '472px', '472px'])]
    #[TestWith(['50% / 2', '25%', '25%'])]
    #[TestWith(['2*(100px + 4)', '208px', '208px'])]
    #[TestWith(['-(10)', null, '-10px'])]
    #[TestWith(['1/3', null, '0.333px'])]
    #[TestWith(['1000/3', '333px', '333.333px'])]
    #[TestWith(['3fr+1fr', '4fr', null])]
    #[TestWith(['10mm*2 + 5px', '45px', null])]
    #[TestWith(['1,5 × 100', '150px', '150px'])]
    #[TestWith(['12.5%', '12.5%', '12.5%'])]
    #[TestWith(['1fr+1px', null, null])]
    #[TestWith(['0*5', null, '0px'])]
    public function testReckonsInAFrameOf960PxAtHalfAMillimetre(string $text, ?string $size, ?string $length): void
    {
        $typed = Typed::parse(Input::of($text));
        $said = static function (callable $reckon): ?string {
            try {
                return $reckon()->toText();
            } catch (Refusal) {
                return null;
            }
        };

        self::assertSame($size, $said(static fn () => $typed->partSize(960, Rational::of(500), '')));
        self::assertSame($length, $said(static fn () => $typed->length(960, '')));
        self::assertSame(str_contains($text, '%-'), $typed->dependsOnFrame());
    }

    #[TestWith(['1/0', 'arithmetic.zero'])]
    #[TestWith(['4px/(2-2)', 'arithmetic.zero'])]
    #[TestWith(['1e9', 'arithmetic.text'])]
    #[TestWith(['50%%', 'arithmetic.text'])]
    #[TestWith(['', 'arithmetic.text'])]
    #[TestWith(['(1', 'arithmetic.text'])]
    #[TestWith(['1 2', 'arithmetic.text'])]
    #[TestWith(['px', 'arithmetic.text'])]
    #[TestWith(['+-', 'arithmetic.text'])]
    #[TestWith(['2px*3px', 'arithmetic.units'])]
    #[TestWith(['6/2px', 'arithmetic.units'])]
    public function testSaysWhatCannotBeReckoned(string $text, string $code): void
    {
        try {
            Arithmetic::amounts($text, '/size');
            self::fail("$text was reckoned");
        } catch (Refusal $refusal) {
            self::assertSame([$code, '/size'], [$refusal->refusalCode, $refusal->path]);
        }
    }

    public function testDeepAndLongTextsAreRefused(): void
    {
        $this->expectExceptionObject(Refusal::because('arithmetic.text', '', ['value' => str_repeat('(', 40)]));
        Arithmetic::amounts(str_repeat('(', 40), '');
    }
}
