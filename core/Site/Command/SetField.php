<?php

declare(strict_types=1);

namespace UpperPane\Core\Site\Command;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Command;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scope;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Site\Spot;
use UpperPane\Core\Site\SurfaceSheet;
use UpperPane\Core\Surface\PlacedPanel;

/**
 * `field.set`: one field of a surface. Another shape takes an output map that was made for the old one with it, unless
 * every panel still lies where it lay: slices name panels and canvas px. Refuses what the field refuses, beside its
 * value.
 *
 * @implements Command<SurfaceSheet>
 */
final readonly class SetField implements Command
{
    public const NAME = 'field.set';

    public function __construct(private string $field, private mixed $value)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'field', 'value']);

        return new self((string) $input->choice('field', SurfaceSheet::FIELDS), $input->child('value')->raw());
    }

    public function apply(Document $document): Change
    {
        $set = [$this->field => $this->value];
        $after = $this->with($document, $set);
        $unwired =
            $this->field === 'shape' && $document->outputs !== null && self::panels($after) !== self::panels($document);
        $after = $unwired ? $this->with($document, $set + ['outputs' => null]) : $after;

        return new Change(
            $after,
            [
                new self($this->field, $document->field($this->field)),
                ...$unwired ? [new WireOutputs($document->outputs)] : [],
            ],
            Scopes::of(...$this->bounds()),
            Scopes::of(Spot::field($this->field), ...$unwired ? [Spot::outputs()] : []),
            ['field' => $this->field],
        );
    }

    public function target(): Scope
    {
        return Spot::field($this->field);
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'field' => $this->field, 'value' => $this->value];
    }

    /** @param array<string, mixed> $set */
    private function with(SurfaceSheet $sheet, array $set): SurfaceSheet
    {
        try {
            return $sheet->with($set);
        } catch (Refusal $refusal) {
            $own = '/'.$this->field;
            throw str_starts_with($refusal->path, $own)
                ? $refusal->at('/value'.substr($refusal->path, strlen($own)))
                : $refusal;
        }
    }

    /** @return list<Scope> the fields that a value must fit to */
    private function bounds(): array
    {
        return match ($this->field) {
            'shape' => [Spot::field('areas'), Spot::field('safe_px'), Spot::outputs()],
            'areas', 'safe_px' => [Spot::field('shape')],
            default => [],
        };
    }

    /** @return list<mixed> */
    private static function panels(SurfaceSheet $sheet): array
    {
        return array_map(
            static fn (PlacedPanel $panel) => [
                $panel->id,
                $panel->rect->toArray(),
                $panel->panel->native->toArray(),
                $panel->panel->rotation,
            ],
            $sheet->surface->panels,
        );
    }
}
