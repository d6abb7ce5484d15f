<?php

declare(strict_types=1);

namespace UpperPane\Core\Act;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Site\Thing;

/** Where an act is aimed: a whole site, a group, a surface, or one player. */
final readonly class Target
{
    private const PLAYER = '/^player:[a-z0-9-]{1,40}$/D';

    private function __construct(public string $name)
    {
    }

    /** @throws Refusal `act.target` */
    public static function read(Input $input): self
    {
        $name = $input->asText(80);
        $isOne = preg_match(self::PLAYER, $name) === 1
            || (Thing::isNamed($name) && !str_starts_with($name, 'document:'));

        return $isOne ? new self($name) : throw Refusal::because('act.target', $input->path, ['value' => $name]);
    }

    /** Of what is named: the part behind the colon; null for the site. */
    public function id(string $kind): ?string
    {
        return str_starts_with($this->name, "$kind:") ? substr($this->name, strlen($kind) + 1) : null;
    }

    /**
     * What may aim at a player.
     *
     * @param list<string> $groups ids
     *
     * @return list<string>
     */
    public static function namesOf(string $player, string $surface, array $groups): array
    {
        return ["player:$player", ...Thing::surface($surface, $groups)->names];
    }
}
