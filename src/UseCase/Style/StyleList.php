<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Style;

use UpperPane\App\Entity\Person;
use UpperPane\App\Repository\HouseStyles;
use UpperPane\App\UseCase\Gate;
use UpperPane\Core\Style\HouseStyle;

/** The house styles of a site with all they hold: they are few. */
final readonly class StyleList
{
    public function __construct(private HouseStyles $styles, private Gate $gate)
    {
    }

    /** @return array{styles: list<array<string, mixed>>} */
    public function __invoke(string $siteSlug, Person $person): array
    {
        $styles = $this->styles->ofSite($this->gate->site($siteSlug, $person)->id);

        return [
            'styles' => array_map(
                static fn (string $id, HouseStyle $style) => ['id' => $id] +
                    array_diff_key($style->toArray(), ['version' => 0]),
                array_map(strval(...), array_keys($styles)),
                array_values($styles),
            ),
        ];
    }
}
