<?php

declare(strict_types=1);

namespace UpperPane\App\Adapter;

use Symfony\Component\HttpClient\Exception\TransportException;
use Symfony\Contracts\HttpClient\Exception\ExceptionInterface;
use Symfony\Contracts\HttpClient\HttpClientInterface;
use UpperPane\Core\Web\Framing;
use UpperPane\Core\Web\Origin;
use UpperPane\Core\Web\WebFacts;
use UpperPane\Core\Web\WebState;

/**
 * Asks for a page as a browser would, and reads its headers only. Nothing that lies inside is ever reached: every name
 * is resolved here, each of its addresses judged, and the connection made to the one that was judged; so is every
 * redirect. Of what is refused and of what does not answer no more is told than that.
 */
final readonly class PageLooker
{
    private const MOST_S = 15;
    private const REDIRECTIONS = 5;

    public function __construct(private HttpClientInterface $client, private InsideNet $inside)
    {
    }

    /** @param ?Origin $ancestor of the app's own pages, as browsers reach them */
    public function look(string $address, ?Origin $ancestor): WebFacts
    {
        try {
            for ($at = $address, $turn = 0; $turn <= self::REDIRECTIONS; ++$turn) {
                [$status, $headers] = $this->ask($at);
                $next = $headers['location'][0] ?? null;
                if ($status < 300 || $status >= 400 || $next === null) {
                    return $this->said($status, $headers, $at, $ancestor);
                }
                $at = self::joined($at, $next);
                if ($at === null) {
                    return new WebFacts(WebState::Away);
                }
            }
        } catch (ExceptionInterface) {
            return new WebFacts(WebState::Away);
        }

        return new WebFacts(WebState::Away, 'It leads on and on.');
    }

    /**
     * @return array{int, array<string, list<string>>} status and headers
     *
     * @throws ExceptionInterface also for what lies inside
     */
    private function ask(string $address): array
    {
        $origin = Origin::of($address);
        $host = (string) parse_url($address, \PHP_URL_HOST);
        $to = $origin === null ? null : $this->inside->outsideOf($host);
        if ($to === null) {
            throw new TransportException('Not asked.');
        }
        $answer = $this->client->request('GET', $address, [
            'headers' => ['Accept' => 'text/html,application/xhtml+xml,*/*;q=0.8'],
            'max_redirects' => 0,
            'timeout' => self::MOST_S,
            'max_duration' => self::MOST_S,
            'buffer' => false,
            'resolve' => [$host => $to],
        ]);
        $said = [$answer->getStatusCode(), $answer->getHeaders(false)];
        $answer->cancel();

        return $said;
    }

    /** @param array<string, list<string>> $headers */
    private function said(int $status, array $headers, string $at, ?Origin $ancestor): WebFacts
    {
        if ($status < 200 || $status >= 300) {
            return new WebFacts(WebState::Away, "HTTP $status");
        }
        $page = Origin::of($at);
        $refusal = $page === null ? '' : Framing::refusal(
            $headers['content-security-policy'] ?? [],
            $headers['x-frame-options'] ?? [],
            $page,
            $ancestor,
        );

        return new WebFacts($refusal === '' ? WebState::Shown : WebState::Refused, mb_substr($refusal, 0, 200));
    }

    /** Where a redirect leads (RFC 3986 §5.2); null for what is no page of the web. */
    private static function joined(string $from, string $to): ?string
    {
        $parts = parse_url($from);
        $at = ($parts['scheme'] ?? '').'://'.($parts['host'] ?? '').(isset($parts['port']) ? ":{$parts['port']}" : '');
        $joined = match (true) {
            preg_match('#^[a-z][a-z0-9+.-]*:#i', $to) === 1 => $to,
            str_starts_with($to, '//') => ($parts['scheme'] ?? '').":$to",
            str_starts_with($to, '/') => $at.$to,
            default => $at.preg_replace('#[^/]*$#', '', $parts['path'] ?? '/').$to,
        };

        return preg_match('#^https?://#i', $joined) === 1 && Origin::of($joined) !== null ? $joined : null;
    }
}
