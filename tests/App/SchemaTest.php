<?php

declare(strict_types=1);

namespace UpperPane\Tests\App;

use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use UpperPane\App\Pane\Filter;
use UpperPane\Tests\Support\TestFonts;

/**
 * The schemas of `bin/pane` and what it does agree: every value of every example is replaced by each of these, and what
 * one refuses as malformed, the other refuses too. What is well-formed may still be refused for what it means.
 */
final class SchemaTest extends TestCase
{
    private const STRANGE = [
        'null',
        'true',
        '0',
        '-1',
        '1',
        '0.5',
        '90.0',
        '1e15',
        '1e400',
        '100001',
        '""',
        '"0px"',
        '"1.5px"',
        '"0fr"',
        '"7%"',
        '"1234567px"',
        '"12mm"',
        '"-3px"',
        '"A B"',
        '[]',
        '{}',
        '[1]',
        '{"0":1}',
        '[1,2,3,4,5]',
    ];

    /** Codes of what a value says, not of how it is written: a schema does not know them. */
    private const MEANT = '/^(glaze|reflow|lattice|playlist|surface|wall|area|text|number|sync|length|float|recurrence|schedule|when|time\.zone)(\.|$)/';

    /** @return iterable<string, array{string, string}> command and input */
    public static function examples(): iterable
    {
        foreach (PaneTest::answers() as $name => [$command, $input]) {
            yield $name => [$command, $input];
        }
    }

    #[DataProvider('examples')]
    public function testSchemaAndCommandRefuseTheSame(string $command, string $input): void
    {
        $filter = Filter::standard(static fn () => new TestFonts());
        $schema = json_decode($filter->run(['schema', $command], static fn () => '')[1]);
        self::assertInstanceOf(\stdClass::class, $schema);
        $differ = [];
        foreach (self::leaves(json_decode($input)) as $path) {
            foreach (self::STRANGE as $value) {
                $text = self::with($input, $path, $value);
                $valid = (new Validator())->validate(json_decode($text), $schema)->isValid();
                [$exit, , $error] = $filter->run([$command], static fn () => $text);
                $code = $exit === 0 ? '' : (string) json_decode($error)->error->code;
                $agree = $valid ? $code === '' || preg_match(self::MEANT, $code) === 1 : $exit === 2;
                if (!$agree) {
                    $differ[] =
                        "$command ".implode('/', $path)." = $value: ".($valid ? 'valid' : 'invalid').", $code";
                }
            }
        }

        self::assertSame([], $differ);
    }

    /**
     * @param list<string> $path
     *
     * @return list<list<string>> the way to every value, containers too
     */
    private static function leaves(mixed $value, array $path = []): array
    {
        $ways = $path === [] ? [] : [$path];
        foreach (is_scalar($value) || $value === null ? [] : (array) $value as $key => $child) {
            $ways = [...$ways, ...self::leaves($child, [...$path, (string) $key])];
        }

        return $ways;
    }

    /** @param list<string> $path */
    private static function with(string $json, array $path, string $value): string
    {
        $mark = '@@@';
        $document = json_decode($json);
        $at = &$document;
        foreach ($path as $key) {
            if (is_array($at)) {
                $at = &$at[(int) $key];
            } else {
                $at = &$at->$key;
            }
        }
        $at = $mark;

        return str_replace("\"$mark\"", $value, (string) json_encode($document));
    }
}
