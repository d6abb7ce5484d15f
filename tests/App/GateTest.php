<?php

declare(strict_types=1);

namespace UpperPane\Tests\App;

use Random\Engine\Mt19937;
use Random\Randomizer;
use UpperPane\Tests\Support\Build;
use UpperPane\Tests\Support\RandomDesign;

/**
 * Bad input at every door: bodies, addresses and queries are made from docs/openapi.json and then spoilt, thousands of
 * them by one seed. Whatever comes, it is answered or refused with a problem that says what, where and how to mend it;
 * never by a fault of ours, and what is refused has changed nothing.
 */
final class GateTest extends ApiCase
{
    private const ROUNDS = 130;
    private const STRANGE = [
        'null',
        'true',
        '-1',
        '0',
        '1',
        '2000.0',
        '1e400',
        '-0.0',
        '9223372036854775807',
        '1e19',
        '""',
        '"\u0000"',
        '"é"',
        '"\ud83d"',
        '"../../etc/passwd"',
        '"<script>alert(1)</script>"',
        '"\u202egnp.exe"',
        '[]',
        '{}',
        '[[]]',
        '{"0":1}',
        '{"a":{"b":{"c":[1,2,{"d":null}]}}}',
        '[1,2,3,4,5,6,7,8,9]',
        '"00000000-0000-4000-8000-000000000000"',
        '1.5',
    ];

    /** Bodies that are no JSON, or too much of it. */
    private const BROKEN = ['', '{', '[', 'null', '"text"', '{"a":1,"a":2}', "\xff\xfe", '{"a":"\xc3\x28"}', '[]', '0'];

    private Randomizer $random;
    private \stdClass $document;

    public function testWhateverComesIsAnsweredOrRefusedInWords(): void
    {
        $seed = (int) (getenv('GATE_SEED') ?: 20_261_125);
        $this->random = new Randomizer(new Mt19937($seed));
        $this->document = json_decode((string) file_get_contents(\dirname(__DIR__, 2).'/docs/openapi.json'));
        $faults = [];
        $asked = $refused = 0;
        foreach ($this->operations() as [$method, $path, $operation]) {
            // The sign-in counts wrong passwords, which is its work, and ends the session.
            if (str_contains($path, '/api/session')) {
                continue;
            }
            $this->signIn('ada');
            $schema = $operation->requestBody->content->{'application/json'}->schema ?? null;
            for ($round = 0; $round < ($schema === null ? 12 : self::ROUNDS); ++$round) {
                [$address, $body] = [$this->address($path, $round), $this->body($path, $schema, $round)];
                $before = $this->written();
                $this->raw($method, $address, $body);
                ++$asked;
                $status = $this->response->getStatusCode();
                $refused += $status >= 400 ? 1 : 0;
                $fault = $this->fault($status, $before);
                if ($fault !== '') {
                    $faults[] = "$method $address ".mb_substr(mb_scrub($body), 0, 300)." → $status: $fault";
                }
            }
        }

        self::assertSame([], $faults, "seed $seed");
        self::assertGreaterThan(2000, $asked);
        self::assertGreaterThan($asked / 2, $refused, 'most of it is refused');
    }

    /** @return iterable<array{string, string, \stdClass}> method, path, operation */
    private function operations(): iterable
    {
        foreach (get_object_vars($this->document->paths) as $path => $methods) {
            foreach (get_object_vars($methods) as $method => $operation) {
                yield [strtoupper($method), $path, $operation];
            }
        }
    }

    private function fault(int $status, int $before): string
    {
        if ($status < 400) {
            return '';
        }
        $body = (string) $this->response->getContent();
        $problem = (array) json_decode($body, true);

        return match (true) {
            $status >= 500 => mb_substr($body, 0, 300),
            $this->response->headers->get('Content-Type') !== 'application/problem+json' => 'no problem+json',
            array_diff(['title', 'status', 'code', 'path', 'mend'], array_keys($problem)) !== [] => 'not said in full',
            $problem['title'] === '' || $problem['code'] === '' || $problem['mend'] === '' => 'said empty',
            preg_match('/\.php|Stack trace|SQLSTATE|UpperPane\\\\|Doctrine|Symfony/', $body) === 1 => 'speaks of its inside',
            $this->written() !== $before => 'changed something although it was refused',
            default => '',
        };
    }

    /** How many rows are there, and how far revisions have come: what any of these requests would change. */
    private function written(): int
    {
        return (int) self::database()->fetchOne(
            'SELECT (SELECT COUNT(*) + COALESCE(SUM(revision), 0) FROM document) + (SELECT COUNT(*) FROM part) + '.
                '(SELECT COUNT(*) FROM revision) + (SELECT COUNT(*) FROM release_) + (SELECT COUNT(*) FROM release_plan) + (SELECT COUNT(*) FROM hand_off) + '.
                '(SELECT COUNT(*) FROM media) + (SELECT COUNT(*) FROM surface) + (SELECT COUNT(*) FROM audit) + '.
                '(SELECT COUNT(*) + SUM(orders_number) FROM player) + (SELECT COUNT(*) FROM job)',
        );
    }

    private function address(string $path, int $round): string
    {
        $known = [
            '{id}' => self::BOARD,
            '{site}' => 'harrowmere',
            '{surface}' => 'cafe',
            '{code}' => 'cafe-1',
            '{tMs}' => '1000',
            '{release}' => '1',
            '{revision}' => '0',
            '{number}' => '1',
            '{name}' => 'none',
        ];
        $strange = [
            'none',
            '0',
            '-1',
            '%C3%A9',
            '..%2f',
            str_repeat('a', 300),
            '%00',
            '1e9',
            "'--",
            '%F0%9F%98%80',
            '99999999999',
        ];
        $spoilt = array_map(fn (string $value) => $round % 4 === 3 ? $this->one($strange) : $value, $known);

        return strtr($path, $spoilt).
            ($round % 5 === 4 ? '?scene='.$this->one($strange).'&layout='.$this->one($strange) : '');
    }

    private function body(string $path, ?\stdClass $schema, int $round): string
    {
        if ($schema === null || $round % 10 === 9) {
            return (string) $this->one(self::BROKEN);
        }
        $sample = str_ends_with($path, '/batches') ? $this->batch() : $this->sample($schema, '');
        $text = (string) json_encode($sample);
        for ($spoils = $round % 3; $spoils >= 0; --$spoils) {
            $text = $this->spoilt($text);
        }

        return $text;
    }

    /** Real commands on the real design, one of them wrong in one place. */
    private function batch(): \stdClass
    {
        $commands = [(new RandomDesign($this->random))->command(Build::board(), 'g'.$this->random->getInt(1, 999))];

        return (object) [
            'batch' => self::uuid(),
            'client' => self::uuid(),
            'revision' => 1,
            'commands' => json_decode((string) json_encode($commands)),
        ];
    }

    /** Something that a schema allows, in words that mean something where the name says what they are. */
    private function sample(\stdClass $schema, string $name): mixed
    {
        if (isset($schema->{'$ref'})) {
            return $this->sample($this->document->components->schemas->{basename($schema->{'$ref'})}, $name);
        }
        foreach (['oneOf', 'anyOf'] as $choice) {
            if (isset($schema->$choice)) {
                return $this->sample($this->one($schema->$choice), $name);
            }
        }
        if (isset($schema->enum)) {
            return $this->one($schema->enum);
        }

        return match (is_array($schema->type ?? null) ? $schema->type[0] : $schema->type ?? 'object') {
            'object' => $this->object(get_object_vars($schema->properties ?? (object) [])),
            'array' => array_map(
                fn () => $this->sample($schema->items ?? (object) ['type' => 'integer'], $name),
                range(1, $schema->minItems ?? 2),
            ),
            'integer' => $this->random->getInt(0, 2000),
            'number' => $this->random->getInt(1, 900) / 4,
            'boolean' => (bool) $this->random->getInt(0, 1),
            'null' => null,
            default => match ($name) {
                'design', 'made_as', 'batch', 'client' => self::uuid(),
                default => $this->one(['Hall', 'cafe-1', 'Rest', 'LCD', 'px']),
            },
        };
    }

    /** @param array<string, \stdClass> $properties */
    private function object(array $properties): \stdClass
    {
        $object = new \stdClass();
        foreach ($properties as $key => $part) {
            $object->$key = $this->sample($part, $key);
        }

        return $object;
    }

    /** One value replaced, left out, doubled, or one too many. */
    private function spoilt(string $text): string
    {
        preg_match_all(
            '/"(?:[^"\\\\]|\\\\.)*"(?!:)|-?\d+(?:\.\d+)?(?:e\d+)?|true|false|null|\[\]|\{\}/',
            $text,
            $found,
            \PREG_OFFSET_CAPTURE,
        );
        $values = $found[0];
        if ($values === []) {
            return $text;
        }
        /** @var array{string, int} $chosen */
        $chosen = $this->one($values);
        [$value, $at] = $chosen;

        return match ($this->random->getInt(0, 9)) {
            0 => (string) preg_replace('/"[a-z_]+":(?:"[^"]*"|-?\d+|true|false|null),?/', '', $text, 1),
            1 => substr_replace($text, '"unknown":1,', (int) strpos($text, '{') + 1, 0),
            2 => substr($text, 0, $this->random->getInt(0, strlen($text))),
            default => substr_replace($text, $this->one(self::STRANGE), $at, strlen($value)),
        };
    }

    /** @param array<mixed> $list */
    private function one(array $list): mixed
    {
        $list = array_values($list);

        return $list[$this->random->getInt(0, count($list) - 1)];
    }
}
