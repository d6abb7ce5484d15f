<?php

declare(strict_types=1);

namespace UpperPane\Tests\App;

/** Entries with days and hours: read from a sentence, sealed with the almanac, proven by players. */
final class HoursTest extends ApiCase
{
    private const RIBBON = '0b0c1d00-0000-4000-8000-000000000007';
    private const ZONE = 'z-0b0c1d00';

    public function testASentenceIsReadBackWithItsNextTimes(): void
    {
        $this->signIn();
        $read = $this->call('GET', '/api/sites/harrowmere/when?words='.rawurlencode('every day, 6 to 9'));

        self::assertStringStartsWith('every day, 06:00 to 09:00, from ', (string) $read['words']);
        self::assertSame('FREQ=DAILY', $read['when']['rrule']);
        self::assertCount(3, $read['next']);
        foreach ($read['next'] as [$from, $until]) {
            self::assertSame(['06:00:00', '09:00:00'], [substr($from, 11), substr($until, 11)]);
        }
        $refused = $this->call('GET', '/api/sites/harrowmere/when?words=on+some+day,+6-9', status: 422);
        self::assertSame(['when.words', '/words'], [$refused['code'], $refused['path']]);
    }

    /** One of three is on now, one at other hours, one always: the bench says it, the almanac, and the proof. */
    public function testPlayersGoByTheHoursThatWereSealed(): void
    {
        $this->signIn();
        ['revision' => $revision, 'documents' => $documents] = $this->call('GET', '/api/documents/'.self::RIBBON);
        $entries = $documents[self::ZONE]['fill']['entries'];
        $civil = new \DateTimeImmutable('now', new \DateTimeZone('Europe/London'));
        $on = self::hours($civil->modify('-2 hours'), $civil->modify('+2 hours'));
        $off = self::hours($civil->modify('+4 hours'), $civil->modify('+6 hours'));
        $set = static fn (int $index, array $when): array => [
            'do' => 'entry.set',
            'zone' => self::ZONE,
            'entry' => ['when' => $when] + $entries[$index],
        ];
        $answer = $this->edit([$set(1, $on), $set(2, $off)], $revision, document: self::RIBBON);
        $zone = $answer['documents'][self::ZONE];
        $now = (int) (1000 * microtime(true));
        self::assertSame([[0, 1], [0]], array_slice(self::from($zone['hours'], $now), 0, 2));
        self::assertStringStartsWith('every day, ', $zone['whens'][$entries[1]['id']]['words']);
        self::assertCount(3, $zone['whens'][$entries[2]['id']]['next']);

        $release = $this->call(
            'POST',
            '/api/designs/'.self::RIBBON.'/releases',
            ['revision' => $answer['revision'], 'note' => '', 'made_as' => self::uuid()],
            201,
        );
        $this->handOff('ribbon', $release['release']);
        $paired = $this->pair('ribbon-1');
        $orders = $this->read($paired['orders']);
        $interval = self::lastOf($this->read($orders['programme']['url']));
        $sealed = $this->read($orders['almanac']['url']);
        $list = $sealed['lists'][$interval['plan']['sha256']][self::ZONE];
        self::assertSame([[0, 1], [0]], array_slice(self::from($list, $now), 0, 2));
        self::assertContains([0, 2], $list['sets']);
        // A cycle of two of 6 s from when it began: 10 s after it the second one shows, never the third.
        foreach (['e1' => 'different', 'e2' => 'proven', 'e3' => 'different'] as $entry => $state) {
            $this->call('POST', '/api/play/ribbon-1/proof', [
                'release' => $release['release'],
                'programme' => $orders['programme']['sha256'],
                'at_ms' => $interval['start_ms'] + 10_000,
                'offset_ms' => 0,
                'stepped' => false,
                'zones' => [self::ZONE => $entry, 'z-clock' => null],
            ], 204, ['HTTP_AUTHORIZATION' => 'Bearer '.$paired['token']]);
            self::assertSame($state, $this->handed('ribbon')['players'][0]['state'], $entry);
        }
        self::assertSame($orders['almanac'], $this->read($this->pair('ribbon-1')['orders'])['almanac'], 'all day');
    }

    /**
     * @param array<string, mixed> $list
     *
     * @return list<list<int>> the sets from an instant on
     */
    private static function from(array $list, int $ms): array
    {
        $now = count(array_filter($list['from_ms'], static fn (int $from) => $from <= $ms)) - 1;

        return array_map(static fn (int $set) => $list['sets'][$set], array_slice($list['set'], $now));
    }

    /** @return array<string, string> every day from one time of day to another */
    private static function hours(\DateTimeImmutable $from, \DateTimeImmutable $until): array
    {
        return [
            'start' => $from->modify('-2 days')->format('Y-m-d\TH:i'),
            'end' => $until->format('H:i'),
            'rrule' => 'FREQ=DAILY',
        ];
    }
}
