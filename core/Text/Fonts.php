<?php

declare(strict_types=1);

namespace UpperPane\Core\Text;

/** The faces that the app serves and the core measures: the very same bytes. */
interface Fonts
{
    /** @throws \UpperPane\Core\Base\Refusal `text.font_unknown` naming the faces there are */
    public function face(string $family, int $weight): FontFace;
}
