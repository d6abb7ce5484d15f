<?php

declare(strict_types=1);

namespace UpperPane\Core\Style;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Command;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scope;
use UpperPane\Core\Change\Scopes;

/**
 * `style.space`: a named distance, new or otherwise than it was; null takes it away. Refuses `style.too_many`.
 *
 * @implements Command<HouseStyle>
 */
final readonly class PutSpace implements Command
{
    public const NAME = 'style.space';

    private function __construct(private string $id, private ?SpaceStep $step)
    {
    }

    /** @throws Refusal `input.id` for an id that no fill could name */
    public static function parse(Input $input): self
    {
        $input->keys(['do', 'id', 'space']);
        $id = $input->newId('id');
        if (preg_match('/^[a-z0-9-]{1,40}$/D', $id) !== 1) {
            throw Refusal::because('input.id', $input->pathTo('id'), ['value' => $id]);
        }
        $step = $input->optional('space');

        return new self($id, $step === null ? null : SpaceStep::parse($step));
    }

    public function apply(Document $document): Change
    {
        $old = $document->spaces[$this->id] ?? null;
        if ($old === null && $this->step !== null && count($document->spaces) >= HouseStyle::MOST) {
            throw Refusal::because('style.too_many', '/id', ['most' => HouseStyle::MOST]);
        }

        return new Change(
            $document->withSpace($this->id, $this->step),
            [new self($this->id, $old)],
            Scopes::of(),
            Scopes::of($this->target()),
            ['name' => ($this->step ?? $old)->name ?? ''],
        );
    }

    public function target(): Scope
    {
        return Scope::of('spaces', $this->id);
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'id' => $this->id, 'space' => $this->step?->toArray()];
    }
}
