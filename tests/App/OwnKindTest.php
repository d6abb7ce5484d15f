<?php

declare(strict_types=1);

namespace UpperPane\Tests\App;

use UpperPane\App\Entity\Person;
use UpperPane\App\Entity\Site;
use UpperPane\App\Repository\Documents;
use UpperPane\App\Repository\LoadedDocument;
use UpperPane\Tests\Support\Notes\Notes;
use UpperPane\Tests\Support\Notes\NotesKind;

/**
 * A kind of document that the app does not know (tests/Support/Notes) is stored, edited, taken back and compared by two
 * registrations.
 */
final class OwnKindTest extends ApiCase
{
    protected bool $documented = false;
    private const NOTES = '0b0c1d00-0000-4000-8000-0000000000aa';

    public function testAKindBringsItsValueAndGetsTheRest(): void
    {
        $this->make();
        $set = static fn (string $note, string $text) => ['do' => 'note.set', 'note' => $note, 'text' => $text];
        $this->signIn();
        self::assertSame(['a' => 'Tea'], $this->edit([$set('a', 'Tea')], 0, document: self::NOTES)['notes']);
        $this->signIn('ada');
        self::assertSame(
            ['a' => 'Tea', 'b' => 'Leek'],
            $this->edit([$set('b', 'Leek')], 0, document: self::NOTES)['notes'],
            'other notes are merged',
        );
        $conflict = $this->edit([$set('a', 'Coffee')], 0, 409, document: self::NOTES);
        self::assertSame(
            [['what' => 'note', 'note' => 'a', 'theirs' => 'Tea', 'yours' => 'Coffee']],
            $conflict['things'],
        );
        $this->signIn();
        self::assertSame(['b' => 'Leek'], $this->step('undo', document: self::NOTES)['notes']);
        self::assertSame(['a' => 'Tea', 'b' => 'Leek'], $this->step('redo', document: self::NOTES)['notes']);
        self::assertCount(5, $this->call('GET', '/api/documents/'.self::NOTES.'/revisions')['revisions']);
        self::assertSame(
            'input.length',
            $this->edit([$set('a', str_repeat('x', 201))], 4, 422, document: self::NOTES)['code'],
        );
        $this->signIn('olga');
        $this->edit([$set('a', 'x')], 4, 403, document: self::NOTES);
    }

    private function make(): void
    {
        $entities = self::getContainer()->get('doctrine.orm.entity_manager');
        $site = $entities->getRepository(Site::class)->findOneBy(['slug' => 'harrowmere']) ?? self::fail();
        $person = $entities->getRepository(Person::class)->findOneBy([]) ?? self::fail();
        self::getContainer()
            ->get(Documents::class)
            ->add(
                new LoadedDocument(self::NOTES, NotesKind::NAME, $site->id, null, null, 0, new Notes([])),
                'Notes',
                $person,
            );
    }
}
