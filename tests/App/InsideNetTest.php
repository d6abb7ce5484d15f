<?php

declare(strict_types=1);

namespace UpperPane\Tests\App;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\HttpClient\MockHttpClient;
use Symfony\Component\HttpClient\Response\MockResponse;
use UpperPane\App\Adapter\InsideNet;
use UpperPane\App\Adapter\PageLooker;
use UpperPane\Core\Web\WebState;

/** What lies inside is never asked for: every case here ends before a connection is made. */
final class InsideNetTest extends TestCase
{
    /** @return iterable<string, array{string}> RFC 6890 and its kin, in all spellings */
    public static function inside(): iterable
    {
        foreach (
            [
                ...['127.0.0.1', '127.1', '2130706433', '0x7f000001', '017700000001', '0x7f.1', '127.0.0.1.'],
                ...['0.0.0.0', '0', '10.1.2.3', '172.16.0.1', '192.168.1.1', '169.254.169.254', '100.64.0.1'],
                ...['198.18.0.1', '224.0.0.1'],
                ...['255.255.255.255', '192.0.2.1', '192.0.0.8'],
                ...['[::1]', '[::]', '[::ffff:127.0.0.1]', '[::ffff:7f00:1]', '[::127.0.0.1]', '[64:ff9b::7f00:1]'],
                ...['[2002:7f00:1::]', '[fe80::1]', '[fd00::1]', '[ff02::1]', '[2001::1]', '[2001:db8::1]'],
                ...['localhost', 'LOCALHOST.'],
            ] as $host
        ) {
            yield $host => [$host];
        }
    }

    #[DataProvider('inside')]
    public function testNothingInsideIsAsked(string $host): void
    {
        $asked = 0;
        $client = new MockHttpClient(static function () use (&$asked): MockResponse {
            ++$asked;

            return new MockResponse('');
        });
        foreach (["http://$host/", "https://$host:8443/a?b"] as $address) {
            $found = (new PageLooker($client, new InsideNet()))->look($address, null);
            self::assertSame([WebState::Away, ''], [$found->state, $found->said], $address);
        }
        self::assertSame(0, $asked);
    }

    /** A name with one address outside and one inside, and redirects to what lies inside or is no page. */
    public function testNamesAndRedirectsAreJudgedToo(): void
    {
        $names = ['two.example' => ['93.184.216.34', '10.0.0.1'], 'out.example' => ['93.184.216.34']];
        $net = new InsideNet('', static fn (string $host): array => $names[$host] ?? []);
        $asked = [];
        $to = '';
        $client = new MockHttpClient(static function (string $method, string $url, array $how) use (&$asked, &$to) {
            $asked[] = [$url, $how['resolve']];

            return new MockResponse('', ['http_code' => 302, 'response_headers' => ["Location: $to"]]);
        });
        $looker = new PageLooker($client, $net);
        self::assertSame(WebState::Away, $looker->look('http://two.example/', null)->state);
        self::assertSame(WebState::Away, $looker->look('http://nowhere.example/', null)->state);
        self::assertSame([], $asked);
        foreach (['http://127.0.0.1:3306/', 'file:///etc/passwd', 'http://two.example/', 'gopher://x/'] as $to) {
            self::assertSame(WebState::Away, $looker->look('http://out.example/a', null)->state, $to);
        }
        self::assertCount(4, $asked, 'the first of each alone');
        $to = '/again';
        self::assertSame(WebState::Away, $looker->look('http://out.example/a', null)->state, 'without end');
        self::assertSame(['http://out.example/again', ['out.example' => '93.184.216.34']], array_pop($asked));
    }

    /** What the administrator names may lie inside; nothing else does then. */
    public function testHostsThatAreAllowed(): void
    {
        $net = new InsideNet('signs.example, 10.0.0.7', static fn (string $host): array => ['10.0.0.5']);

        self::assertSame('10.0.0.5', $net->outsideOf('signs.example'));
        self::assertSame('10.0.0.7', $net->outsideOf('10.0.0.7'));
        self::assertNull($net->outsideOf('10.0.0.8'));
        self::assertNull($net->outsideOf('other.example'));
        self::assertSame('93.184.216.34', $net->outsideOf('93.184.216.34'));
        self::assertSame('2606:4700::1', $net->outsideOf('[2606:4700::1]'));
    }
}
