<?php

declare(strict_types=1);

namespace UpperPane\Tests\Support\Guard;

use Random\Randomizer;
use UpperPane\Core\Base\CanonicalJson;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Design\Design;
use UpperPane\Demo\Sketch;
use UpperPane\Tests\Support\Build;
use UpperPane\Tests\Support\RandomDesign;

/** @implements Subject<Design> */
final class DesignSubject implements Subject
{
    private ?RandomDesign $commands = null;

    public function begun(): Design
    {
        return Build::filled(
            Build::board(),
            'a',
            Sketch::playlist([[Sketch::colour('#112233'), 5000], [Sketch::text('Hi', 40), null]]),
        );
    }

    public function command(Document $document, Randomizer $random, string $new): array
    {
        return ($this->commands ??= new RandomDesign($random))->command($document, $new);
    }

    public function inverses(): array
    {
        return ['scene.put', 'float.set', 'sizes.set'];
    }

    public function place(array $path): ?array
    {
        return match (true) {
            $path === ['letters_used'] => null,
            // Parts and floats of a layout, and entries, go by names of their own: any of it will do.
            ($path[2] ?? '') === 'fill' => array_slice($path, 0, 3),
            ($path[2] ?? '') === 'layouts' => [$path[0], $path[1], ...array_slice($path, 3, 1)],
            default => $path,
        };
    }

    /** The counter of letters given never goes back: it is the one thing that undo leaves. */
    public function bytes(Document $document): string
    {
        return CanonicalJson::encode(array_diff_key(self::plain($document), ['letters_used' => 0]));
    }

    public function common(Document $document, Document $before): string
    {
        $array = array_diff_key(self::plain($document), ['letters_used' => 0]);
        foreach (array_keys(array_diff_key($document->zones, $before->zones)) as $id) {
            unset($array['zones'][$id]['letter']);
        }

        return CanonicalJson::encode($array);
    }

    /** @return array<array-key, mixed> */
    private static function plain(Design $design): array
    {
        return json_decode((string) json_encode($design->toArray()), true);
    }
}
