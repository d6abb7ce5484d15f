<?php

declare(strict_types=1);

namespace UpperPane\Core\Change;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;

/**
 * One kind of document: all that storing, editing, undoing and comparing needs to know of it. A document is stored as a
 * head and named parts, each a JSON text, so that an edit writes little.
 *
 * @template D of Document
 */
interface Kind
{
    /** As it stands in the store and in addresses. */
    public function name(): string;

    /**
     * Parts of this version, from parts of this one or an older one. Where they differ, the whole is written with the
     * next change: what is the same in memory may lie elsewhere in the store.
     *
     * @param array<string, string> $parts JSON by name
     *
     * @return array<string, string>
     */
    public function upgraded(array $parts): array;

    /**
     * From the store: what {@see parts()} gave, maybe in an older version, which is brought up.
     *
     * @param array<string, string> $parts JSON by name
     *
     * @return D
     *
     * @throws Refusal for a damaged document
     */
    public function stored(array $parts): Document;

    /**
     * From untrusted JSON, whole.
     *
     * @return D
     *
     * @throws Refusal with the place of the first fault
     */
    public function read(Input $input): Document;

    /** @return Commands<D> all there are on such a document */
    public function commands(): Commands;

    /**
     * The JSON text of the head, under the name `head`, and of every part. Given the document before, parts that are
     * the same object as there may be left out.
     *
     * @param D  $document
     * @param ?D $before
     *
     * @return array<string, ?string> null: the part is gone
     */
    public function parts(Document $document, ?Document $before = null): array;

    /**
     * The touched things as two versions of the document have them, for a person to choose.
     *
     * @param D $theirs
     * @param D $mine
     *
     * @return list<array<string, mixed>> with `theirs` and `yours`
     */
    public function versions(Document $theirs, Document $mine, Scopes $touched): array;
}
