<?php

declare(strict_types=1);

namespace UpperPane\Core\Base;

/**
 * A typed reader over untrusted decoded JSON: every value is asked for by name, type and bounds, every key that nobody
 * asks for is refused, and every refusal names its place as a JSON Pointer (RFC 6901).
 *
 * Example: `Input::of($json)->keys(['size', 'tree'])->child('tree')->text('split')`.
 */
final readonly class Input
{
    /** Up to here a float of 64 bits holds every whole number (IEEE 754: 53 bits). */
    private const WHOLE_FLOATS = 2 ** 53;

    /** @param bool $strict objects are \stdClass and every array is a list, as {@see Json::decode()} gives them */
    private function __construct(private mixed $value, public string $path, private bool $strict)
    {
    }

    /** Over PHP values of our own, where an empty array may be a list or an object. */
    public static function of(mixed $value, string $path = ''): self
    {
        return new self($value, $path, false);
    }

    /** Over decoded JSON in which objects are \stdClass. */
    public static function json(mixed $value, string $path = ''): self
    {
        return new self($value, $path, true);
    }

    /**
     * @param list<string> $allowed
     *
     * @throws Refusal `input.unknown_key`, so that a typing slip is never silently ignored
     */
    public function keys(array $allowed): self
    {
        foreach (array_keys($this->object()) as $key) {
            if (!in_array((string) $key, $allowed, true)) {
                throw Refusal::because('input.unknown_key', $this->pathTo((string) $key), [
                    'key' => (string) $key,
                    'known' => $allowed,
                ]);
            }
        }

        return $this;
    }

    public function has(string $key): bool
    {
        return array_key_exists($key, $this->object());
    }

    public function child(string $key): self
    {
        if (!$this->has($key)) {
            throw Refusal::because('input.missing', $this->pathTo($key), ['key' => $key]);
        }

        return new self($this->object()[$key], $this->pathTo($key), $this->strict);
    }

    public function isNull(): bool
    {
        return $this->value === null;
    }

    /** The value as plain PHP arrays; whole numbers are integers, however they were written. */
    public function raw(): mixed
    {
        return self::plain($this->value);
    }

    /** Null where the key is missing or null. */
    public function optional(string $key): ?self
    {
        return $this->has($key) && !$this->child($key)->isNull() ? $this->child($key) : null;
    }

    /**
     * A text of one line that people see beside others: no signs that steer rather than show, which would turn round,
     * hide or break off what stands beside it (Unicode general categories Cc, Cf and Zl, Zp).
     *
     * @throws Refusal `input.name`
     */
    public function name(string $key, int $longest, int $shortest = 0): string
    {
        $name = $this->text($key, $longest, $shortest);

        return preg_match('/[\p{Cc}\x{200B}\x{200E}\x{200F}\x{2028}-\x{202E}\x{2060}-\x{206F}\x{FEFF}]/u', $name) === 0
            ? $name
            : throw Refusal::because('input.name', $this->pathTo($key));
    }

    public function text(string $key, int $most = 5000, int $least = 0): string
    {
        return $this->child($key)->asText($most, $least);
    }

    public function asText(int $most = 5000, int $least = 0): string
    {
        if (!is_string($this->value) || !mb_check_encoding($this->value, 'UTF-8')) {
            throw $this->wrongType('text');
        }
        $length = mb_strlen($this->value);
        if ($length < $least || $length > $most) {
            throw Refusal::because('input.length', $this->path, [
                'length' => $length,
                'least' => $least,
                'most' => $most,
            ]);
        }

        return $this->value;
    }

    /** An identifier as commands carry them: 1 to 64 letters, digits, `-`, `_` or `.`. */
    public function id(string $key): string
    {
        return $this->child($key)->asId();
    }

    public function asId(): string
    {
        $id = $this->asText(64, 1);

        return preg_match('/^[A-Za-z0-9_.-]+$/D', $id) === 1
            ? $id
            : throw Refusal::because('input.id', $this->path, ['value' => $id]);
    }

    /** A UUID (RFC 9562 §4), in small letters. */
    public function uuid(string $key): string
    {
        $id = $this->text($key, 36, 36);

        return preg_match('/^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/D', $id) === 1
            ? $id
            : throw Refusal::because('input.uuid', $this->pathTo($key), ['value' => $id]);
    }

    /**
     * The id of a thing that is made by this: it begins with a letter, so that no key of a document is ever a number.
     */
    public function newId(string $key): string
    {
        return $this->child($key)->asNewId();
    }

    public function asNewId(): string
    {
        $id = $this->asId();

        return ctype_alpha($id[0]) ? $id : throw Refusal::because('input.new_id', $this->path, ['value' => $id]);
    }

    public function int(string $key, int $least, int $most): int
    {
        return $this->child($key)->asInt($least, $most);
    }

    public function asInt(int $least, int $most): int
    {
        $value = self::whole($this->value);
        if (!is_int($value)) {
            throw $this->wrongType('a whole number');
        }
        if ($value < $least || $value > $most) {
            throw Refusal::because('input.range', $this->path, ['value' => $value, 'least' => $least, 'most' => $most]);
        }

        return $value;
    }

    /** A decimal given as a JSON number, taken as whole thousandths: 1209.6 (mm) → 1209600 (µm). */
    public function asThousandths(int $least, int $most): int
    {
        return $this->asParts(1000, $least, $most);
    }

    /** The same in hundredths: 12.5 (degrees) → 1250 (centidegrees). */
    public function asHundredths(int $least, int $most): int
    {
        return $this->asParts(100, $least, $most);
    }

    /** The same in millionths: 0.6297 (mm) → 629700 (nm), for pitches. */
    public function asMillionths(int $least, int $most): int
    {
        return $this->asParts(1_000_000, $least, $most);
    }

    private static function plain(mixed $value): mixed
    {
        return $value instanceof \stdClass || is_array($value)
            ? array_map(self::plain(...), (array) $value)
            : self::whole($value);
    }

    /** Without an exponent: 0.000001, not 1.0E-6. */
    private static function decimal(float $value): string
    {
        return rtrim(rtrim(sprintf('%.6F', $value), '0'), '.');
    }

    private function asParts(int $parts, int $least, int $most): int
    {
        if ((!is_int($this->value) && !is_float($this->value)) || !is_finite((float) $this->value)) {
            throw $this->wrongType('a number');
        }
        $count = floor($this->value * $parts + 0.5);
        if ($count < $least || $count > $most) {
            throw Refusal::because('input.range', $this->path, [
                'value' => (string) $this->value,
                'least' => self::decimal($least / $parts),
                'most' => self::decimal($most / $parts),
            ]);
        }

        return (int) $count;
    }

    public function bool(string $key): bool
    {
        $child = $this->child($key);

        return is_bool($child->value) ? $child->value : throw $child->wrongType('true or false');
    }

    /** @param list<string|int> $known */
    public function choice(string $key, array $known): string|int
    {
        $child = $this->child($key);
        $value = self::whole($child->value);
        if (!in_array($value, $known, true)) {
            throw Refusal::because('input.choice', $child->path, [
                'value' => is_scalar($value) ? (string) $value : $child->typeName(),
                'known' => array_map(strval(...), $known),
            ]);
        }

        /** @var string|int */
        return $value;
    }

    /**
     * @template E of \BackedEnum
     *
     * @param class-string<E> $enum
     *
     * @return E
     */
    public function enum(string $key, string $enum): \BackedEnum
    {
        return $enum::from($this->choice($key, array_column($enum::cases(), 'value')));
    }

    /** @return list<self> */
    public function list(string $key, int $most = 10000, int $least = 0): array
    {
        return $this->child($key)->asList($most, $least);
    }

    /** @return list<self> */
    public function asList(int $most = 10000, int $least = 0): array
    {
        if (!is_array($this->value) || !array_is_list($this->value)) {
            throw $this->wrongType('a list');
        }
        $count = count($this->value);
        if ($count < $least || $count > $most) {
            throw Refusal::because('input.count', $this->path, ['count' => $count, 'least' => $least, 'most' => $most]);
        }

        return array_map(
            fn (int $i) => new self($this->value[$i], $this->path.'/'.$i, $this->strict),
            array_keys($this->value),
        );
    }

    /** @return array<string, self> the members by key */
    public function members(): array
    {
        $members = [];
        foreach ($this->object() as $key => $value) {
            $members[(string) $key] = new self($value, $this->pathTo((string) $key), $this->strict);
        }

        return $members;
    }

    public function pathTo(string $key): string
    {
        return $this->path.'/'.strtr($key, ['~' => '~0', '/' => '~1']);
    }

    /** A whole number that was written as `2000.0` or `2e3` is the same one, as far as a float holds whole numbers. */
    private static function whole(mixed $value): mixed
    {
        return is_float($value) && floor($value) === $value && abs($value) <= self::WHOLE_FLOATS
            ? (int) $value
            : $value;
    }

    /** @return array<array-key, mixed> */
    private function object(): array
    {
        if ($this->value instanceof \stdClass) {
            return (array) $this->value;
        }
        if ($this->strict || !is_array($this->value) || ($this->value !== [] && array_is_list($this->value))) {
            throw $this->wrongType('an object');
        }

        return $this->value;
    }

    private function wrongType(string $wanted): Refusal
    {
        return Refusal::because('input.type', $this->path, ['wanted' => $wanted, 'given' => $this->typeName()]);
    }

    private function typeName(): string
    {
        return match (true) {
            $this->value === null => 'null',
            is_bool($this->value) => 'true or false',
            is_string($this->value) => 'text',
            is_int($this->value), is_float($this->value) => 'a number',
            is_array($this->value) && array_is_list($this->value) => 'a list',
            default => 'an object',
        };
    }
}
