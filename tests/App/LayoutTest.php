<?php

declare(strict_types=1);

namespace UpperPane\Tests\App;

use UpperPane\Demo\Sketch;

/** Layouts per orientation, designs for an area, and one design on several surfaces, over HTTP. */
final class LayoutTest extends ApiCase
{
    private const TURNED = ['scene' => 's-rest', 'layout' => 'turned'];

    public function testALayoutForTheOtherOrientationIsMadeEditedAndTakenBack(): void
    {
        $this->signIn();
        $made = $this->edit([['do' => 'layout.make', 'scene' => 's-rest', 'way' => 'crossed']], 1, view: self::TURNED);
        self::assertSame(['s-rest', 'turned', true], [$made['scene'], $made['layout'], $made['whole']]);
        self::assertSame(array_reverse($made['layouts']['own']), $made['canvas']);

        $split = $this->edit(
            [['layout' => 'turned'] + Sketch::split('z-right', 'rows', 3000, 'z-new')],
            2,
            view: self::TURNED,
        );
        self::assertSame(
            ['z-new', 'z-right'],
            [
                array_key_first(array_intersect_key($split['zones'], ['z-new' => 1])),
                array_key_first(array_intersect_key($split['zones'], ['z-right' => 1])),
            ],
        );
        $own = $this->call('GET', '/api/documents/'.self::BOARD, null, 200);
        self::assertSame(
            ['own', 'layout.zone_missing'],
            [$own['layout'], $own['findings']['scenes']['s-rest']['layout'][0]['code']],
        );

        $this->step('undo', view: self::TURNED);
        $gone = $this->step('undo', view: self::TURNED);
        self::assertSame(
            ['own', true, null],
            [$gone['layout'], $gone['whole'], $gone['layouts']['turned']],
            'the bench is led back to the layout that is there',
        );
    }

    /** Two people in the two layouts of a scene do not get in each other's way; in one layout the later one chooses. */
    public function testTwoPeopleInTwoLayouts(): void
    {
        $this->signIn();
        $this->edit([['do' => 'layout.make', 'scene' => 's-rest', 'way' => 'crossed']], 1);
        $this->signIn('ada');
        $this->edit([Sketch::size('z-right', '900px')], 2);
        $this->signIn();
        $merged = $this->edit([['layout' => 'turned'] + Sketch::size('z-right', '700px')], 2, view: self::TURNED);
        self::assertSame(
            [4, 'Ada Wren', 700],
            [$merged['revision'], $merged['between'][0]['author'], $merged['zones']['z-right']['rect'][3]],
        );

        $conflict = $this->edit([Sketch::size('z-right', '800px')], 2, 409);
        self::assertSame('document.changed_since', $conflict['code']);
        self::assertContains('z-right', array_column($conflict['things'], 'zone'));
        $this->signIn('ada');
        $gone = $this->edit(
            [['do' => 'layout.put', 'scene' => 's-rest', 'content' => null, 'zones' => (object) []]],
            3,
            409,
        );
        self::assertSame(
            'document.changed_since',
            $gone['code'],
            'a layout that another has just changed does not go unasked',
        );
    }

    public function testADesignForAnAreaLiesThereAndHoldsTheArea(): void
    {
        $this->signIn();
        $areas = array_column($this->call('GET', '/api/surfaces/hall')['areas'], null, 'name');
        self::assertSame(
            'area.unknown',
            $this->call(
                'POST',
                '/api/surfaces/hall/designs',
                ['design' => self::uuid(), 'name' => 'Strip', 'area' => 'Nowhere'],
                422,
            )['code'],
        );
        $id = $this->call(
            'POST',
            '/api/surfaces/hall/designs',
            ['design' => self::uuid(), 'name' => 'Strip', 'area' => 'Lower strip'],
            201,
        )['design'];
        $strip = $areas['Lower strip']['id'];
        $rect = $this->call('GET', '/api/surfaces/hall')['area_rects'][$strip];

        $whole = $this->call('GET', "/api/documents/$id", null, 200);
        self::assertSame([[$rect[2], $rect[3]], 'Lower strip'], [$whole['canvas'], $whole['area']]);
        self::assertSame(
            ['D' => [0, 0, 1920, 433], 'E' => [1926, 0, 1920, 433], 'F' => [3852, 0, 1920, 433]],
            $whole['panels'],
            'what lies under the strip',
        );
        self::assertSame([[1920, 0, 6, 433], [3846, 0, 6, 433]], $whole['seams']);
        $plan = $this->call('GET', "/api/designs/$id/plan", null, 200);
        self::assertSame(
            [$rect, [5772, 2166]],
            [$plan['plan']['scenes']['s-rest']['zones'][0]['rect'], $plan['plan']['canvas']],
        );
        self::assertContains('area.rest_empty', array_column($plan['findings'], 'code'));

        $hall = $this->call('GET', '/api/surfaces/hall')['document'];
        $areas['Lower strip']['name'] = 'Foot';
        $set = ['do' => 'field.set', 'field' => 'areas', 'value' => array_values($areas)];
        $this->edit([$set], 0, document: $hall);
        $whole = $this->call('GET', "/api/documents/$id", null, 200);
        self::assertSame([[$rect[2], $rect[3]], 'Foot'], [$whole['canvas'], $whole['area']]);
        $found = $this->call('GET', '/api/sites/harrowmere/designs?find=foot', null, 200)['designs'];
        self::assertSame(['Foot'], array_column($found, 'area'));
        unset($areas['Lower strip']);
        $refused = $this->edit(
            [['do' => 'field.set', 'field' => 'areas', 'value' => array_values($areas)]],
            1,
            422,
            document: $hall,
        );
        self::assertSame(['area.in_use', '/commands/0/value'], [$refused['code'], $refused['path']]);
        self::assertStringContainsString('Strip', $refused['title']);
    }

    public function testOneDesignOnSeveralSurfacesAtOnce(): void
    {
        $this->signIn();
        $plans = $this->call('GET', '/api/designs/'.self::BOARD.'/plans?surfaces=gate-1,hall,nowhere', null, 200)[
            'plans'
        ];
        $sizes = array_combine(
            array_map(static fn (array $one) => $one['surface']['code'], $plans),
            array_map(static fn (array $one) => $one['plan']['canvas'], $plans),
        );

        self::assertSame(['gate-1' => [1080, 1920], 'hall' => [5772, 2166]], $sizes);
        $inside = static fn (array $plan, array $zone) => $zone['rect'][0] + $zone['rect'][2] <= $plan['canvas'][0]
            && $zone['rect'][1] + $zone['rect'][3] <= $plan['canvas'][1];
        foreach ($plans as $one) {
            self::assertSame(
                [],
                array_filter(
                    $one['plan']['scenes']['s-rest']['zones'],
                    static fn (array $zone) => !$inside($one['plan'], $zone),
                ),
            );
        }
    }
}
