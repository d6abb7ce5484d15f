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
 * `style.colour`, `style.type`, `style.space`: one that has a name, new or otherwise than it was; null takes it away.
 * Refuses `style.too_many`.
 *
 * @implements Command<HouseStyle>
 */
final readonly class PutNamed implements Command
{
    public const COLOUR = 'style.colour';
    public const TYPE = 'style.type';
    public const SPACE = 'style.space';
    private const SECTIONS = [
        self::COLOUR => Section::Colours,
        self::TYPE => Section::Types,
        self::SPACE => Section::Spaces,
    ];

    private function __construct(
        private string $command,
        private string $id,
        private NamedColour|TypeStep|SpaceStep|null $put,
    ) {
    }

    /** @throws Refusal `input.id` for an id that no fill could name */
    public static function parse(Input $input): self
    {
        $command = (string) $input->choice('do', array_keys(self::SECTIONS));
        $section = self::SECTIONS[$command];
        $input->keys(['do', 'id', $section->value]);
        $id = $input->newId('id');
        if (preg_match('/^[a-z0-9-]{1,40}$/D', $id) !== 1) {
            throw Refusal::because('input.id', $input->pathTo('id'), ['value' => $id]);
        }
        $put = $input->optional($section->value);

        return new self($command, $id, $put === null ? null : $section->parse($put));
    }

    public function apply(Document $document): Change
    {
        $section = self::SECTIONS[$this->command];
        $there = $document->all($section);
        $old = $there[$this->id] ?? null;
        if ($old === null && $this->put !== null && count($there) >= HouseStyle::MOST) {
            throw Refusal::because('style.too_many', '/id', ['most' => HouseStyle::MOST]);
        }

        return new Change(
            $document->with($section, $this->id, $this->put),
            [new self($this->command, $this->id, $old)],
            Scopes::of(),
            Scopes::of($this->target()),
            ['name' => ($this->put ?? $old)->name ?? ''],
        );
    }

    public function target(): Scope
    {
        return Scope::of(self::SECTIONS[$this->command]->plural(), $this->id);
    }

    public function toArray(): array
    {
        return [
            'do' => $this->command,
            'id' => $this->id,
            self::SECTIONS[$this->command]->value => $this->put?->toArray(),
        ];
    }
}
