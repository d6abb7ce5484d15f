<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Style;

use UpperPane\App\Entity\Person;
use UpperPane\App\Repository\LoadedDocument;
use UpperPane\App\UseCase\Absent;
use UpperPane\App\UseCase\Document\Desks;
use UpperPane\App\UseCase\Document\EditDocument;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Style\DesignTokens;
use UpperPane\Core\Style\HouseStyle;

/** A house style as a file of design tokens, and such a file taken into one. */
final readonly class StyleTokens
{
    public function __construct(private Desks $desks, private EditDocument $edit)
    {
    }

    /** @return array<string, mixed> */
    public function file(string $id, Person $person): array
    {
        return DesignTokens::of(self::style($this->desks->open($id, $person)[0]));
    }

    /**
     * @return array<string, mixed> the answer of an edit, and the paths of what could not be taken
     *
     * @throws Refusal `style.tokens`
     */
    public function take(string $id, Input $input, Person $person): array
    {
        $input->keys(['batch', 'client', 'view', 'tokens']);
        [$loaded] = $this->desks->open($id, $person);
        self::style($loaded);
        ['commands' => $commands, 'left' => $left] = DesignTokens::commands($input->child('tokens')->raw());
        if ($commands === []) {
            throw Refusal::because('style.tokens', '/tokens', ['why' => 'it holds no colours and no typography']);
        }
        $answer = ($this->edit)(
            $id,
            Input::of([
                'batch' => $input->uuid('batch'),
                'client' => $input->uuid('client'),
                'revision' => $loaded->revision,
                'commands' => $commands,
            ]),
            $person,
        );

        return $answer + ['left' => $left];
    }

    private static function style(LoadedDocument $loaded): HouseStyle
    {
        return $loaded->document instanceof HouseStyle ? $loaded->document : throw Absent::named('house style');
    }
}
