<?php

declare(strict_types=1);

namespace UpperPane\Core\Web;

/**
 * Whether a page lets itself be shown in a frame of ours: what its headers say to a browser. `frame-ancestors` of
 * Content Security Policy Level 3 §6.4.2 and §6.7.2; where no policy has it, X-Frame-Options of the HTML standard
 * §7.4.4 (Chromium is asked the same in tests/Outside).
 */
final class Framing
{
    /**
     * @param list<string> $policies  values of Content-Security-Policy
     * @param list<string> $options   values of X-Frame-Options
     * @param Origin       $page  where it lies, after all redirections
     * @param ?Origin      $ancestor of the page around it; null where that is not known
     *
     * @return string the header that refuses; empty: it is shown
     */
    public static function refusal(array $policies, array $options, Origin $page, ?Origin $ancestor): string
    {
        $directives = self::ancestors($policies);
        foreach ($directives as $directive) {
            if (!self::allows($directive, $page, $ancestor)) {
                return 'Content-Security-Policy: frame-ancestors '.implode(' ', $directive ?: ["'none'"]);
            }
        }
        $said = array_unique(array_map(
            static fn (string $one) => strtolower(trim($one)),
            array_merge([], ...array_map(static fn (string $value) => explode(',', $value), $options)),
        ));
        if ($directives !== [] || self::optionsAllow(array_values($said), $page, $ancestor)) {
            return '';
        }

        return 'X-Frame-Options: '.implode(', ', $options);
    }

    /**
     * @param list<string> $policies
     *
     * @return list<list<string>> the sources of each policy that has the directive; only its first counts
     */
    private static function ancestors(array $policies): array
    {
        $found = [];
        foreach (array_merge([], ...array_map(static fn (string $one) => explode(',', $one), $policies)) as $policy) {
            foreach (explode(';', $policy) as $directive) {
                $words = preg_split('/[\t\n\f\r ]+/', trim($directive)) ?: [];
                if (strtolower($words[0]) === 'frame-ancestors') {
                    $found[] = array_slice($words, 1);
                    break;
                }
            }
        }

        return $found;
    }

    /** @param list<string> $sources */
    private static function allows(array $sources, Origin $page, ?Origin $ancestor): bool
    {
        if ($ancestor === null) {
            return false;
        }
        foreach ($sources as $source) {
            $source = strtolower($source);
            if ($source === "'self'" ? $page->equals($ancestor) : self::matches($source, $page, $ancestor)) {
                return true;
            }
        }

        return false;
    }

    private static function matches(string $source, Origin $page, Origin $ancestor): bool
    {
        if ($source === '*') {
            return true;
        }
        if (preg_match('/^([a-z][a-z0-9+.-]*):$/', $source, $scheme) === 1) {
            return self::schemeMatches($scheme[1], $ancestor);
        }
        $isHost = preg_match(
            '#^(?:([a-z][a-z0-9+.-]*)://)?(\*|(?:\*\.)?[a-z0-9_-]+(?:\.[a-z0-9_-]+)*)(?::(\d+|\*))?(/.*)?$#',
            $source,
            $part,
            \PREG_UNMATCHED_AS_NULL,
        );
        if ($isHost !== 1) {
            return false;
        }
        $host = (string) $part[2];
        $hostMatches = match (true) {
            $host === '*' => true,
            str_starts_with($host, '*.') => str_ends_with($ancestor->host, substr($host, 1)),
            default => $host === $ancestor->host,
        };

        return $hostMatches
            && self::schemeMatches($part[1] ?? $page->scheme, $ancestor)
            && self::portMatches($part[3], $ancestor);
    }

    /** What is allowed plainly is allowed in safety, too. */
    private static function schemeMatches(string $scheme, Origin $ancestor): bool
    {
        return $scheme === $ancestor->scheme || ($scheme === 'http' && $ancestor->scheme === 'https');
    }

    private static function portMatches(?string $port, Origin $ancestor): bool
    {
        return match (true) {
            $port === null => $ancestor->hasDefaultPort(),
            $port === '*' => true,
            default => (int) $port === $ancestor->port || ((int) $port === 80 && $ancestor->port === 443),
        };
    }

    /** @param list<string> $said in small letters, each once */
    private static function optionsAllow(array $said, Origin $page, ?Origin $ancestor): bool
    {
        $known = array_intersect($said, ['deny', 'allowall', 'sameorigin']);

        return match (true) {
            count($said) > 1 => $known === [],
            $said === ['deny'] => false,
            $said === ['sameorigin'] => $ancestor !== null && $page->equals($ancestor),
            default => true,
        };
    }
}
