<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Floats;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Letters;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Design\Layout;
use UpperPane\Core\Design\LayoutAt;
use UpperPane\Core\Design\Spot;
use UpperPane\Core\Design\Zone;
use UpperPane\Core\Layout\FloatPlace;

/**
 * `float.place`: a zone placed freely above the glazing, in front of all floats or right behind one. A zone the design
 * does not have yet is made, empty, with the next letter, or comes whole in `zones`. Refuses `document.zone_twice`,
 * `float.gone`, `document.id_taken`, `document.letter_taken`.
 */
final readonly class PlaceFloat implements DesignCommand
{
    public const NAME = 'float.place';

    public function __construct(
        private string $scene,
        private bool $turned,
        private FloatPlace $float,
        private ?string $before,
/** @var array<string, Zone> */ private array $zones = [],
    ) {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'layout', 'float', 'before', 'zones']);

        [$scene, $turned] = LayoutAt::fields($input);

        return new self(
            $scene,
            $turned,
            FloatPlace::parse($input->child('float')),
            $input->optional('before')?->asId(),
            self::zones($input),
        );
    }

    public function apply(Document $document): Change
    {
        $at = LayoutAt::of($document, $this->scene, $this->turned);
        $id = $this->float->zone;
        if ($at->layout->holds($id)) {
            throw Refusal::because('document.zone_twice', '/float/zone', ['zone' => $id]);
        }
        Input::of(['id' => $id], '/float/zone')->newId('id');
        $fresh =
            $this->zones === [] && !isset($document->zones[$id])
                ? [$id => Zone::fresh($id, Letters::at($document->lettersUsed))]
                : [];
        $put = $at->putFloats(
            self::inserted($at->layout, $this->float, $this->before),
            $this->zones + $fresh,
            count($fresh),
        );

        return new Change(
            $put->after,
            [new RemoveFloat($this->scene, $this->turned, $id)],
            Scopes::of(Spot::zoneThere($id), ...$this->float->pane() === null ? [] : [$at->part($this->float->pane())]),
            $put->touched->and(Scopes::of($at->float($id), $at->floats())),
            ['letter' => $put->after->zone($id)->letter()],
        );
    }

    public function target(): null
    {
        return null;
    }

    public function toArray(): array
    {
        return [
            'do' => self::NAME,
            'scene' => $this->scene,
            'layout' => $this->turned ? LayoutAt::TURNED : LayoutAt::OWN,
            'float' => $this->float->toArray(),
            'before' => $this->before,
            'zones' => array_map(static fn (Zone $zone) => $zone->toArray(), $this->zones),
        ];
    }

    /**
     * @return list<FloatPlace>
     *
     * @throws Refusal `float.gone` when the one it is put behind is not there
     */
    public static function inserted(Layout $layout, FloatPlace $float, ?string $before): array
    {
        $others = array_values(
            array_filter($layout->floats, static fn (FloatPlace $one) => $one->zone !== $float->zone),
        );
        if ($before === null) {
            return [...$others, $float];
        }
        $at = array_search($before, array_map(static fn (FloatPlace $one) => $one->zone, $others), true);
        if ($at === false) {
            throw Refusal::because('float.gone', '/before', ['zone' => $before]);
        }

        return [...array_slice($others, 0, $at), $float, ...array_slice($others, $at)];
    }

    /** @return array<string, Zone> */
    private static function zones(Input $input): array
    {
        $zones = [];
        foreach ($input->has('zones') ? $input->child('zones')->members() : [] as $id => $zone) {
            $zones[$id] = Zone::parse((string) $id, $zone);
        }

        return $zones;
    }
}
