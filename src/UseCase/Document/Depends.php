<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Document;

/**
 * In which versions a document uses others, as one short text that a page keeps and gives back: so that it hears when
 * one of them is another now, and is never told only a part of what that changes.
 */
final readonly class Depends
{
    /**
     * @param string             $documents what every answer is held against: the versions of the documents it uses
     * @param \Closure(): string $media     what an open page alone looks for, since it adds media by itself
     */
    public function __construct(private string $documents, private \Closure $media)
    {
    }

    public static function onNothing(): self
    {
        return new self('', static fn () => '');
    }

    /** Whether what a page saw was drawn with the same versions of other documents. */
    public function agreesWith(string $seen): bool
    {
        return explode('.', $seen)[0] === $this->documents;
    }

    public function text(): string
    {
        return $this->documents.'.'.($this->media)();
    }
}
