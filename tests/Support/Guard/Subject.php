<?php

declare(strict_types=1);

namespace UpperPane\Tests\Support\Guard;

use Random\Randomizer;
use UpperPane\Core\Change\Document;

/**
 * What the guard of scopes needs of a kind of document: one to begin with, and random commands on what is there. Each
 * kind there is has one, and each of its commands comes up in it: else the guard fails.
 *
 * @template D of Document
 */
interface Subject
{
    /** @return D */
    public function begun(): Document;

    /**
     * @param D      $document
     * @param string $new      a part of ids that no other call was given
     *
     * @return array{do: string, ...} one that may be refused, on what is there and what is not
     */
    public function command(Document $document, Randomizer $random, string $new): array;

    /** @return list<string> commands that nobody sends: they come as inverses only */
    public function inverses(): array;

    /**
     * @param list<string> $path a place of the document
     *
     * @return ?list<string> what commands call it; null for what nobody sets
     */
    public function place(array $path): ?array;

    /**
     * @param D $document
     *
     * @return string equal when nothing that a person can tell is different
     */
    public function bytes(Document $document): string;

    /**
     * @param D $document
     * @param D $before   what two people both began with
     *
     * @return string the same, but for what depends on whose change came first: which of two new letters is whose
     */
    public function common(Document $document, Document $before): string;
}
