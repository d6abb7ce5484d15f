<?php

declare(strict_types=1);

namespace UpperPane\Tests\App;

use UpperPane\Core\Site\NamedId;

/** A site's book: groups go by ids, so that what they are called matters to nobody else. */
final class BookTest extends ApiCase
{
    public function testAGroupIsRenamedMovedAndKeptWhileSurfacesAreInIt(): void
    {
        $this->signIn('theo');
        $hall = NamedId::Group->of('Hall');
        $elevation = fn (): array => $this->call('GET', '/api/sites/harrowmere/elevation', null, 200);
        ['document' => $book, 'groups' => $groups] = $elevation()['book'];
        self::assertSame(['Gates', 'Hall'], array_column($groups, 'name'));
        $members = static fn (): array => array_column(
            array_filter($elevation()['surfaces'], static fn (array $one) => in_array($hall, $one['groups'], true)),
            'code',
        );
        $before = $members();
        self::assertContains('hall', $before);
        $commands = [
            ['do' => 'group.put', 'group' => $hall, 'name' => 'Booking hall'],
            ['do' => 'group.move', 'group' => $hall, 'before' => NamedId::Group->of('Gates')],
            ['do' => 'group.put', 'group' => 'g-quay00000000', 'name' => 'Quay'],
        ];
        $names = static fn (array $answer): array => array_column($answer['groups'], 'name');
        self::assertSame(['Booking hall', 'Gates', 'Quay'], $names($this->edit($commands, 0, document: $book)));
        self::assertSame($before, $members(), 'still in it');

        $refused = $this->edit([['do' => 'group.remove', 'group' => $hall]], 1, 422, document: $book);
        self::assertSame(['group.in_use', '/commands/0/group'], [$refused['code'], $refused['path']]);
        $this->edit([['do' => 'group.remove', 'group' => 'g-quay00000000']], 1, document: $book);
        $back = $names($this->step('undo', document: $book));
        self::assertSame(['Booking hall', 'Gates', 'Quay'], $back, 'taken back where it stood');
        $unnamed = [['do' => 'group.put', 'group' => 'g-quay00000000', 'name' => ' ']];
        self::assertSame('input.missing', $this->edit($unnamed, 3, 422, document: $book)['code']);
        $this->signIn('olga');
        $this->edit([$commands[0]], 3, 403, document: $book);
    }
}
