<?php

declare(strict_types=1);

namespace UpperPane\App\Adapter;

use Symfony\Contracts\HttpClient\Exception\ExceptionInterface;
use Symfony\Contracts\HttpClient\HttpClientInterface;
use UpperPane\Core\Web\Framing;
use UpperPane\Core\Web\Origin;
use UpperPane\Core\Web\WebFacts;
use UpperPane\Core\Web\WebState;

/** Asks for a page as a browser would, and reads its headers only. */
final readonly class PageLooker
{
    private const MOST_S = 15;
    private const REDIRECTIONS = 5;

    public function __construct(private HttpClientInterface $client)
    {
    }

    /** @param ?Origin $ancestor of the app's own pages, as browsers reach them */
    public function look(string $address, ?Origin $ancestor): WebFacts
    {
        try {
            $answer = $this->client->request('GET', $address, [
                'headers' => ['Accept' => 'text/html,application/xhtml+xml,*/*;q=0.8'],
                'max_redirects' => self::REDIRECTIONS,
                'timeout' => self::MOST_S,
                'max_duration' => self::MOST_S,
                'buffer' => false,
            ]);
            [$status, $headers, $at] = [$answer->getStatusCode(), $answer->getHeaders(false), $answer->getInfo('url')];
            $answer->cancel();
        } catch (ExceptionInterface $fault) {
            return new WebFacts(WebState::Away, mb_substr($fault->getMessage(), 0, 200));
        }
        if ($status >= 400) {
            return new WebFacts(WebState::Away, "HTTP $status");
        }
        $page = Origin::of((string) $at) ?? Origin::of($address);
        $refusal = $page === null ? '' : Framing::refusal(
            $headers['content-security-policy'] ?? [],
            $headers['x-frame-options'] ?? [],
            $page,
            $ancestor,
        );

        return new WebFacts($refusal === '' ? WebState::Shown : WebState::Refused, mb_substr($refusal, 0, 200));
    }
}
