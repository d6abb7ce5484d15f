<?php

declare(strict_types=1);

namespace UpperPane\Core\Site;

/** What people give names to goes by an id, so that another name breaks nothing: groups and named areas. */
enum NamedId: string
{
    case Group = 'g';
    case Area = 'a';

    public function isOne(string $said): bool
    {
        return preg_match("/^$this->value-[a-z0-9]{8,36}$/D", $said) === 1;
    }

    /**
     * Of what is said: the id itself, or what a name became that stands where ids stand now (sheets before version 4).
     * Everybody who reads such a name comes to the same id, in whatever revision or sealed input it stands.
     */
    public function of(string $said): string
    {
        $name = trim($said);

        return $this->isOne($name) ? $name : "$this->value-".substr(hash('sha256', $name), 0, 12);
    }
}
