<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Document;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;
use UpperPane\App\Entity\Person;
use UpperPane\App\Repository\LoadedDocument;
use UpperPane\App\UseCase\Conflict;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Site\Right;

/**
 * What the app does around one kind of document, beside storing it: who may change it, what else must be kept in step,
 * and what whoever edits it is told.
 *
 * @template D of Document
 */
#[AutoconfigureTag('upper_pane.desk')]
interface Desk
{
    public static function kind(): string;

    public function right(): Right;

    /** @param D $document */
    public function name(Document $document): string;

    /**
     * Before a batch is stored, in its transaction: refuses what only the store knows, and keeps lists in step.
     *
     * @param D    $after
     * @param bool $sure  the person was asked and says yes
     *
     * @throws Refusal|Conflict
     */
    public function follow(LoadedDocument $before, Document $after, bool $sure): void;

    /**
     * Where it is used, for a person who would remove it; null for what is never removed by itself.
     *
     * @return ?list<string> names of documents and surfaces
     */
    public function uses(LoadedDocument $head): ?array;

    /** Which other documents and media it is drawn with, in which versions. */
    public function dependsOn(LoadedDocument $head): Depends;

    /**
     * Everything, for opening it or catching up.
     *
     * @return array<string, mixed>
     */
    public function whole(LoadedDocument $head, Person $person, View $view): array;

    /**
     * What is different from what the person saw.
     *
     * @param D $seen the document on which the batch was made
     *
     * @return array<string, mixed>
     */
    public function changed(LoadedDocument $head, Document $seen, Person $person, View $view): array;
}
