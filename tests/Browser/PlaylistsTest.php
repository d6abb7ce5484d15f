<?php

declare(strict_types=1);

namespace UpperPane\Tests\Browser;

use UpperPane\Demo\TodayAtTheCafe;

/** Playlists of the Stock: a zone's list is lifted out, shown by another design too, and changed for both at once. */
final class PlaylistsTest extends BrowserCase
{
    public function testAListIsLiftedOutAndChangedForAllThatShowIt(): void
    {
        $this->expectRefusals('status of 409');
        $page = $this->page()->signIn();
        [$one, $other] = [
            $this->copied($page, TodayAtTheCafe::ID).'?zone=z-poster',
            $this->copied($page, TodayAtTheCafe::ID).'?zone=z-poster',
        ];
        $page->open($one)->see('4 Lake swim', '.lane');
        $page->press('Lift out into the Stock')->see('No other design shows it.', '.playlist');
        $page->until('read only', static fn () => !$page->all('.entry-face')[0]->isEnabled());
        self::assertSame([], array_filter(
            $page->all('.playlist .btn'),
            static fn ($button) => str_starts_with($button->getText(), 'Add'),
        ));
        $this->assertAccessible($page);

        // Another design shows it too.
        $page->open($other)->choose('Entries', 'Posters')->see('Copy of Today at the café', '.playlist .hint');
        $page->see('Season pass poster.webp', '.coming');

        // It is a whole page of its own: entries are taken out there, and both have them no more.
        $page->press('Open the playlist')->see('A playlist of the Stock', '.list-said');
        self::assertSame([], $page->all('.frieze, [data-section=fill] select[aria-label=Fill]'));
        $page->until('its entries', static fn () => count($page->all('.entry')) === 5);
        $this->assertAccessible($page);
        $page->all('.entry-face')[3]->click();
        $page->press('Remove', '.entry-body')->until('one less', static fn () => count($page->all('.entry')) === 4);
        $page->see('saved', '.save-word');
        $page->press('Playlists', '.bench-bar')->see('Used in', 'th');
        $page->see('Today at the café, ', 'td');
        $this->assertAccessible($page);
        // What is used is not removed, and who uses it is named.
        $page->press('Remove', 'tbody')->see('of Today at the café', '[role=alert]');

        $page->open($one)->until('four', static fn () => count($page->all('.entry')) === 4);
        // Its own again, as they are now.
        $page->choose('Entries', 'its own')->press('Add colour');
        $page->until('a fifth', static fn () => count($page->all('.entry')) === 5);
        $page->open('/harrowmere/stock/playlists')->see('4', 'td');
        $page->typeIn('Name', 'Empty yet')->typeIn('Width', '800')->press('Make playlist');
        $page->see('No entries yet.', '.playlist');

        // A folder of the Stock comes in at once.
        $page->open('/harrowmere/stock')->press('Notes …', '.media-card');
        $page->type('.modal input[list=stock-folders]', 'Winter');
        $page->press('Note it', '.modal')->gone('.modal');
        $page->open('/harrowmere/stock/playlists')->press('Empty yet')->see('No entries yet.', '.playlist');
        $page->click('[aria-label="Add a folder of the Stock"] option[value=Winter]');
        $page->until('its picture', static fn () => count($page->all('.entry')) === 1);
    }
}
