<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Design;

use PHPUnit\Framework\TestCase;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Design\Scenes\RestoreDesign;
use UpperPane\Tests\Support\Build;

/** What somebody else did meanwhile stands, whatever is taken back. */
final class OthersTest extends TestCase
{
    public function testASceneThatIsInNoRoundLeavesTheRoundAlone(): void
    {
        $design = self::twoInTheRound();
        $turned = ['do' => 'round.set', 'round' => ['s-2', 's-rest']];
        foreach ([
            ['do' => 'scene.add', 'scene' => 's-3', 'name' => 'Aside', 'zone' => 'c', 'before' => null] + [
                'joins' => false,
            ],
            [
                'do' => 'scene.duplicate',
                'scene' => 's-2',
                'as' => 's-3',
                'name' => 'Aside',
                'copies' => ['b' => 'c'],
                'joins' => false,
            ],
        ] as $command) {
            $added = Build::apply($design, $command);
            $after = Build::apply($added->after, $turned)->after;
            $undone = $added->inverse->apply($after);
            self::assertSame(['s-2', 's-rest'], $undone->after->round, $command['do']);

            $removed = Build::apply($added->after, ['do' => 'scene.remove', 'scene' => 's-3']);
            $after = Build::apply($removed->after, $turned)->after;
            $back = $removed->inverse->apply($after)->after;
            self::assertSame([['s-2', 's-rest'], true], [$back->round, isset($back->scenes['s-3'])], $command['do']);
        }
    }

    public function testARestoredDesignMeetsAllThatItSets(): void
    {
        $design = self::twoInTheRound();
        $restored = (new \ReflectionClass(RestoreDesign::class))->getConstant('NAME');
        $restore = Build::apply($design, ['do' => $restored, 'design' => $design->toArray()]);
        foreach ([
            ['do' => 'design.style', 'style' => 'harbour'],
            ['do' => 'design.still', 'still' => true],
            ['do' => 'design.reflow', 'by' => 'same_px'],
        ] as $command) {
            $other = Build::apply($design, $command);
            self::assertTrue($restore->writes->meets($other->writes), $command['do']);
        }
    }

    private static function twoInTheRound(): Design
    {
        return Build::apply(
            Build::design(),
            ['do' => 'scene.add', 'scene' => 's-2', 'name' => 'Next', 'zone' => 'b', 'before' => null, 'joins' => true],
        )->after;
    }
}
