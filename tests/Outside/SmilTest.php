<?php

declare(strict_types=1);

namespace UpperPane\Tests\Outside;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use UpperPane\Core\Exchange\SmilRegion;
use UpperPane\Core\Exchange\SmilWriter;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Picture\FitMode;

/** Written SMIL against the DTD of SMIL 3.0 (Debian w3c-sgml-lib), by xmllint. */
final class SmilTest extends TestCase
{
    public function testIsValidByTheDtd(): void
    {
        $regions = [];
        foreach (FitMode::cases() as $index => $fit) {
            foreach ([0, 50, 100] as $x) {
                foreach ([0, 50, 100] as $y) {
                    $ground = $x === 50 ? null : '#102030';
                    $rect = Rect::of(10 * $x, -$y, 100 + $x, 50);
                    $regions[] = new SmilRegion("$index & $x/$y", $rect, $index, $fit, [$x, $y], $ground);
                }
            }
        }
        $smil = SmilWriter::write(Size::of(1920, 1080), $regions)['smil'];

        self::assertSame([0, ''], self::validity($smil));
        self::assertNotSame(0, self::validity(str_replace('fit="slice"', 'fit="cover"', $smil))[0], 'the DTD was read');
    }

    /** @return array{int, string} */
    private static function validity(string $smil): array
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'smil');
        file_put_contents($file, $smil);
        $process = new Process(['xmllint', '--nonet', '--noout', '--valid', $file]);
        $process->run();
        unlink($file);

        return [(int) $process->getExitCode(), $process->getErrorOutput()];
    }
}
