<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Design;

use UpperPane\App\Entity\Person;
use UpperPane\App\Repository\FontShelf;
use UpperPane\App\Repository\MeasuredTexts;
use UpperPane\App\UseCase\Gate;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Design\Fill\TextFill;
use UpperPane\Core\Site\Right;

/** Keeps what a browser measured of lines that the core can only estimate; of all others nobody's word is taken. */
final readonly class TakeMeasures
{
    private const MOST = 500;
    private const WIDEST = 10_000_000;

    public function __construct(private FontShelf $fonts, private MeasuredTexts $texts, private Gate $gate)
    {
    }

    /**
     * @return array{kept: int}
     *
     * @throws Refusal `text.font_unknown`
     */
    public function __invoke(string $siteSlug, Input $input, Person $person): array
    {
        $site = (int) $this->gate->site($siteSlug, $person, Right::Design)->id;
        $fonts = $this->fonts->of($site);
        $kept = 0;
        foreach ($input->keys(['lines'])->list('lines', self::MOST) as $line) {
            $line->keys(['font', 'weight', 'text', 'width']);
            $face = $fonts->face($line->text('font', 80, 1), $line->int('weight', 1, 1000));
            $text = $line->text('text', TextFill::LONGEST);
            $width = $line->int('width', 0, self::WIDEST);
            if (!$face->measures($text)) {
                $this->texts->keep($site, $face->family, $face->weight, $text, $width);
                ++$kept;
            }
        }

        return ['kept' => $kept];
    }
}
