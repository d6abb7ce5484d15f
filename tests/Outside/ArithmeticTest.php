<?php

declare(strict_types=1);

namespace UpperPane\Tests\Outside;

use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Symfony\Component\Process\Process;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Layout\Arithmetic;

/** What people type into number fields, against the fractions of Python's standard library. */
final class ArithmeticTest extends TestCase
{
    public function testAgreesWithPythonsFractions(): void
    {
        $random = new Randomizer(new Mt19937(3));
        $any = static function (int $depth) use ($random, &$any): string {
            $kind = $depth > 3 ? 0 : $random->getInt(0, 3);
            $sign = ['+', '-', '*', '/'][$random->getInt(0, 3)];

            return match ($kind) {
                0 => (string) $random->getInt(1, 99),
                1 => '-'.$any($depth + 1),
                2 => '('.$any($depth + 1).$sign.$any($depth + 1).')',
                default => $any($depth + 1).$sign.$random->getInt(1, 99),
            };
        };
        $texts = [];
        while (count($texts) < 200) {
            $text = $any(0);
            strlen($text) <= 80 && $texts[] = $text;
        }
        $python = new Process(['python3', '-c', <<<'PY'
            import sys, re
            from fractions import Fraction
            for line in sys.stdin.read().split():
                try: print(eval(re.sub(r'(\d+)', r'Fraction(\1)', line)))
                except ZeroDivisionError: print('zero')
            PY, ], input: implode("\n", $texts));
        $python->mustRun();
        foreach (explode("\n", trim($python->getOutput())) as $index => $expected) {
            try {
                $amounts = Arithmetic::amounts($texts[$index], '');
                $ours = ($amounts[''] ?? Rational::of(0))->toRatio();
            } catch (Refusal $refusal) {
                $ours = $refusal->refusalCode === 'arithmetic.zero' ? 'zero' : $refusal->refusalCode;
            }
            $ratio = $expected === 'zero' || str_contains($expected, '/') ? $expected : "$expected/1";
            self::assertSame(strtr($ratio, '/', ':'), $ours, $texts[$index]);
        }
    }
}
