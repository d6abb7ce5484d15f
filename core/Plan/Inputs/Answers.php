<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan\Inputs;

use UpperPane\Core\Base\CanonicalJson;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Picture\MediaFacts;
use UpperPane\Core\Picture\MediaShelf;
use UpperPane\Core\Picture\Quality;
use UpperPane\Core\Picture\Variant;
use UpperPane\Core\Picture\VariantShelf;
use UpperPane\Core\Text\FontFace;
use UpperPane\Core\Text\Fonts;
use UpperPane\Core\Text\Setting\Widths;
use UpperPane\Core\Web\WebFacts;
use UpperPane\Core\Web\WebShelf;
use UpperPane\Core\Web\WebState;

/**
 * What a compiler asked of the world around it and was answered, written down while it asks, and given as the same
 * answers later. What it never asked then, it is never answered.
 */
final class Answers
{
    /** @var array<string, ?MediaFacts> by id */
    private array $media = [];
    /** @var array<string, ?WebFacts> by address */
    private array $pages = [];
    /** @var array<string, ?Variant> by original, side and quality */
    private array $variants = [];
    /** @var array<string, ?int> by face and line */
    private array $widths = [];
    /** @var array<string, string> the file of each face, by family and weight */
    private array $faces = [];

    public static function read(Input $input): self
    {
        $answers = new self();
        foreach ($input->child('media')->members() as $id => $facts) {
            $answers->media[$id] = $facts->isNull() ? null : SealedMedia::read((string) $id, $facts);
        }
        foreach ($input->child('pages')->members() as $address => $facts) {
            $answers->pages[$address] = $facts->isNull()
                ? null
                : new WebFacts($facts->enum('state', WebState::class), $facts->text('said'));
        }
        foreach ($input->child('variants')->members() as $key => $variant) {
            $answers->variants[$key] = $variant->isNull()
                ? null
                : new Variant(
                    $variant->text('sha256', 64, 64),
                    $variant->text('mime', 100),
                    $variant->int('bytes', 0, \PHP_INT_MAX),
                    Size::parse($variant->child('size')),
                );
        }
        foreach ($input->child('widths')->members() as $key => $width) {
            $answers->widths[$key] = $width->isNull() ? null : $width->asInt(0, \PHP_INT_MAX);
        }
        foreach ($input->child('faces')->members() as $key => $file) {
            $answers->faces[$key] = $file->asText(200);
        }

        return $answers;
    }

    public function media(?MediaShelf $asked = null): MediaShelf
    {
        return new class($this->media, $asked) implements MediaShelf {
            /** @param array<string, ?MediaFacts> $known */
            public function __construct(private array &$known, private ?MediaShelf $asked)
            {
            }

            public function find(string $id): ?MediaFacts
            {
                if ($this->asked !== null && !array_key_exists($id, $this->known)) {
                    $this->known[$id] = $this->asked->find($id);
                }

                return $this->known[$id] ?? null;
            }
        };
    }

    public function pages(?WebShelf $asked = null): WebShelf
    {
        return new class($this->pages, $asked) implements WebShelf {
            /** @param array<string, ?WebFacts> $known */
            public function __construct(private array &$known, private ?WebShelf $asked)
            {
            }

            public function find(string $address): ?WebFacts
            {
                if ($this->asked !== null && !array_key_exists($address, $this->known)) {
                    $this->known[$address] = $this->asked->find($address);
                }

                return $this->known[$address] ?? null;
            }
        };
    }

    public function variants(?VariantShelf $asked = null): VariantShelf
    {
        return new class($this->variants, $asked) implements VariantShelf {
            /** @param array<string, ?Variant> $known */
            public function __construct(private array &$known, private ?VariantShelf $asked)
            {
            }

            public function find(string $sha256, int $longerSidePx, Quality $quality): ?Variant
            {
                $key = "$sha256 $longerSidePx $quality->value";
                if ($this->asked !== null && !array_key_exists($key, $this->known)) {
                    $this->known[$key] = $this->asked->find($sha256, $longerSidePx, $quality);
                }

                return $this->known[$key] ?? null;
            }
        };
    }

    public function widths(?Widths $asked = null): Widths
    {
        return new class($this->widths, $asked) implements Widths {
            /** @param array<string, ?int> $known */
            public function __construct(private array &$known, private ?Widths $asked)
            {
            }

            public function find(string $family, int $weight, string $line): ?int
            {
                $key = "$family $weight $line";
                if ($this->asked !== null && !array_key_exists($key, $this->known)) {
                    $this->known[$key] = $this->asked->find($family, $weight, $line);
                }

                return $this->known[$key] ?? null;
            }
        };
    }

    /** @param bool $recording whether the faces are written down; else they must be those that were */
    public function fonts(Fonts $asked, bool $recording = false): Fonts
    {
        return new class($this->faces, $asked, $recording) implements Fonts {
            /** @param array<string, string> $known */
            public function __construct(private array &$known, private Fonts $asked, private bool $recording)
            {
            }

            public function face(string $family, int $weight): FontFace
            {
                $face = $this->asked->face($family, $weight);
                if ($this->recording) {
                    $this->known["$family $weight"] = $face->file;
                }

                return ($this->known["$family $weight"] ?? '') === $face->file
                    ? $face
                    : throw Refusal::because('inputs.face_gone', '', ['family' => $family, 'weight' => $weight]);
            }
        };
    }

    /** @return array<string, string> sums of what was known of each medium, by id */
    public function mediaSums(): array
    {
        $sums = array_map(self::mediaSum(...), $this->media);
        ksort($sums);

        return $sums;
    }

    /** Of what is drawn of it: its name, folder and words to find it by may change. */
    public static function mediaSum(?MediaFacts $facts): string
    {
        if ($facts === null) {
            return '';
        }
        $drawn = array_diff_key(SealedMedia::toArray($facts), ['name' => 0, 'notes' => 0]);

        return CanonicalJson::sha256($drawn + ['until' => $facts->notes->until]);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'media' => (object) array_map(
                static fn (?MediaFacts $facts) => $facts === null ? null : SealedMedia::toArray($facts),
                $this->media,
            ),
            'pages' => (object) array_map(
                static fn (?WebFacts $facts) => $facts === null
                    ? null
                    : ['state' => $facts->state->value, 'said' => $facts->said],
                $this->pages,
            ),
            'variants' => (object) array_map(
                static fn (?Variant $variant) => $variant === null
                    ? null
                    : [
                        'sha256' => $variant->sha256,
                        'mime' => $variant->mime,
                        'bytes' => $variant->bytes,
                        'size' => $variant->size->toArray(),
                    ],
                $this->variants,
            ),
            'widths' => (object) $this->widths,
            'faces' => (object) $this->faces,
        ];
    }
}
