<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Document;

use UpperPane\Core\Base\Input;

/** Which part of a document a person looks at: for designs a scene and one of its layouts. Empty: what is usual. */
final readonly class View
{
    public function __construct(public string $scene = '', public bool $turned = false)
    {
    }

    public static function parse(?Input $input): self
    {
        return $input === null
            ? new self()
            : new self(
                $input
                    ->keys(['scene', 'layout'])
                    ->optional('scene')
                    ?->asId() ?? '',
                $input->has('layout') && $input->choice('layout', ['own', 'turned']) === 'turned',
            );
    }
}
