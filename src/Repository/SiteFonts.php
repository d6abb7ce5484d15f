<?php

declare(strict_types=1);

namespace UpperPane\App\Repository;

use UpperPane\App\Adapter\FontLibrary;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Text\File\FontUpload;
use UpperPane\Core\Text\FontFace;
use UpperPane\Core\Text\Fonts;

/**
 * The app's faces, then those that were uploaded, which are looked for when somebody names one.
 *
 * @phpstan-type Uploaded array{family: string, weight: int, upload: FontUpload, there: bool}
 */
final class SiteFonts implements Fonts
{
    /** @var ?list<Uploaded> */
    private ?array $uploads = null;

    /** @var array<string, FontFace> */
    private array $loaded = [];

    /**
     * @param \Closure(): list<Uploaded> $fetch
     * @param \Closure(string): string   $bytes by SHA-256
     */
    public function __construct(
        private readonly FontLibrary $library,
        private readonly \Closure $fetch,
        private readonly \Closure $bytes,
    ) {
    }

    public function face(string $family, int $weight): FontFace
    {
        return $this->loaded["$family $weight"] ??= $this->library->has($family, $weight)
            ? $this->library->face($family, $weight)
            : $this->uploaded($family, $weight);
    }

    private function uploaded(string $family, int $weight): FontFace
    {
        foreach ($this->uploads() as $face) {
            if ($face['family'] === $family && $face['weight'] === $weight) {
                $upload = $face['upload'];
                $tables = $this->library->tables($upload->sha256, fn () => ($this->bytes)($upload->sha256));

                return FontFace::ofTables($family, $weight, $upload->sha256, $tables, $upload);
            }
        }
        throw Refusal::because('text.font_unknown', '/font', [
            'family' => $family,
            'weight' => $weight,
            'known' => array_map(static fn (array $face) => "$face[family] $face[weight]", $this->manifest()),
        ]);
    }

    /** @return list<array{family: string, weight: int, file: string, sha256: string}> that can be chosen */
    public function manifest(): array
    {
        $faces = $this->library->manifest();
        foreach ($this->uploads() as $face) {
            if ($face['there']) {
                $faces[] = [
                    'family' => $face['family'],
                    'weight' => $face['weight'],
                    'file' => $face['upload']->sha256,
                    'sha256' => $face['upload']->sha256,
                ];
            }
        }

        return $faces;
    }

    /** @return list<Uploaded> */
    private function uploads(): array
    {
        return $this->uploads ??= ($this->fetch)();
    }
}
