<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Glazing;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Design\LayoutAt;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Layout\Part;
use UpperPane\Core\Layout\PartSize;
use UpperPane\Core\Layout\Tree;

/**
 * `sizes.set`: the sizes of some parts, as written, and their minimums where given. It is how moved mullions are taken
 * back. Refuses `document.part_gone`.
 */
final readonly class SetSizes implements DesignCommand
{
    public const NAME = 'sizes.set';

    public function __construct(
        private string $scene,
        private bool $turned,
/** @var array<string, PartSize> by part id */ private array $sizes,
/** @var array<string, int> by part id */ private array $mins = [],
    ) {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'layout', 'sizes', 'mins']);

        [$scene, $turned] = LayoutAt::fields($input);

        return new self(
            $scene,
            $turned,
            array_map(PartSize::parse(...), $input->child('sizes')->members()),
            self::mins($input),
        );
    }

    public function apply(Document $document): Change
    {
        $at = LayoutAt::of($document, $this->scene, $this->turned);
        $tree = $at->tree();
        $old = [];
        foreach ($this->sizes as $id => $size) {
            $part =
                Tree::find($tree, (string) $id) ??
                throw Refusal::because('document.part_gone', '/sizes', ['part' => (string) $id]);
            $old[] = $part;
            $tree = Tree::replace(
                $tree,
                (string) $id,
                $part->withSize($size)->withLeast($size->isShare() ? $this->mins[$id] ?? $part->leastPx() : 0),
            );
        }
        $put = $at->put($tree);

        return new Change(
            $put->after,
            [self::asNow($this->scene, $this->turned, ...$old)],
            Scopes::of(),
            $put->touched->and(Scopes::of(...array_map(static fn (Part $part) => $at->part($part->id()), $old))),
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
            'sizes' => array_map(static fn (PartSize $size) => $size->toText(), $this->sizes),
        ] + ($this->mins === [] ? [] : ['mins' => $this->mins]);
    }

    /** The command that gives these parts the sizes they have now. */
    public static function asNow(string $scene, bool $turned, Part ...$parts): self
    {
        $sizes = $mins = [];
        foreach ($parts as $part) {
            $sizes[$part->id()] = $part->size();
            $mins[$part->id()] = $part->leastPx();
        }

        return new self($scene, $turned, $sizes, array_filter($mins));
    }

    /** @return array<string, int> */
    private static function mins(Input $input): array
    {
        return $input->has('mins')
            ? array_map(static fn (Input $min) => $min->asInt(0, Size::LARGEST_PX), $input->child('mins')->members())
            : [];
    }
}
