<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Glazing;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Letters;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Design\LayoutAt;
use UpperPane\Core\Design\Spot;
use UpperPane\Core\Design\Zone;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Layout\GlazingReader;
use UpperPane\Core\Layout\Part;
use UpperPane\Core\Layout\PartSize;
use UpperPane\Core\Layout\Tree;

/**
 * `glazing.put`: one part of the glazing replaced by another, with the zones that come; those that then stand nowhere
 * go. A zone that comes without a letter takes the next one. It is how splits and merges are taken back, and how a
 * whole layout is set at once. Refuses `document.part_gone`, `document.id_taken`, `document.letter_taken`,
 * `document.zone_twice`, `document.zone_unplaced`.
 */
final readonly class PutGlazing implements DesignCommand
{
    public const NAME = 'glazing.put';

    public function __construct(
        private string $scene,
        private bool $turned,
        private string $part,
        private Part $tree,
/** @var array<string, Zone> */ private array $zones = [],
    ) {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'layout', 'part', 'size', 'tree', 'zones', 'min']);

        [$scene, $turned] = LayoutAt::fields($input);

        return new self(
            $scene,
            $turned,
            $input->id('part'),
            GlazingReader::read($input->child('tree'))
                ->withSize(PartSize::parse($input->child('size')))
                ->withLeast($input->has('min') ? $input->int('min', 0, Size::LARGEST_PX) : 0),
            self::zones($input->child('zones')),
        );
    }

    public function apply(Document $document): Change
    {
        $at = LayoutAt::of($document, $this->scene, $this->turned);
        $old =
            Tree::find($at->tree(), $this->part) ??
            throw Refusal::because('document.part_gone', '/part', ['part' => $this->part]);
        [$zones, $taken] = $this->lettered($document);
        $tree = Tree::replace($at->tree(), $this->part, $this->tree);
        $ids = Tree::ids($tree);
        $twice = array_values(array_diff_assoc($ids, array_unique($ids)));
        if ($twice !== []) {
            throw Refusal::because('document.id_taken', '/tree', ['id' => $twice[0]]);
        }
        $put = $at->put($tree, $zones, $taken);
        $touched = array_values(array_unique([...Tree::ids($old), ...Tree::ids($this->tree)]));

        return new Change(
            $put->after,
            [new self($this->scene, $this->turned, $this->tree->id(), $old, $put->gone), ...$put->rehook($at)],
            Scopes::of(...array_map(Spot::zoneThere(...), $this->tree->paneIds())),
            $put->touched->and(
                Scopes::of(
                    ...array_map($at->part(...), $touched),
                    ...array_map($at->parts(...), $touched),
                    ...array_map($at->gutter(...), $touched),
                ),
            ),
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
            'part' => $this->part,
            'size' => $this->tree->size()->toText(),
            'min' => $this->tree->leastPx(),
            'tree' => $this->tree->withLeast(0)->toArray(true),
            'zones' => array_map(static fn (Zone $zone) => $zone->toArray(), $this->zones),
        ];
    }

    /** @return array<string, Zone> */
    private static function zones(Input $input): array
    {
        $zones = [];
        foreach ($input->members() as $id => $zone) {
            Input::of(['id' => $id], $input->path)->newId('id');
            $zones[$id] = $zone->has('letter')
                ? Zone::parse((string) $id, $zone)
                : Zone::unlettered((string) $id, $zone);
        }

        return $zones;
    }

    /**
     * @return array{array<string, Zone>, int} the zones, each with a letter, and how many letters were taken for them
     */
    private function lettered(Design $design): array
    {
        $taken = 0;
        $zones = [];
        foreach ($this->zones as $id => $zone) {
            $zones[$id] =
                $zone->letter() === ''
                    ? $zone->copiedAs($zone->id, Letters::at($design->lettersUsed + $taken++))
                    : $zone;
        }

        return [$zones, $taken];
    }
}
