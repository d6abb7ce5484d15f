<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Handoff;

use UpperPane\App\Entity\DocumentRow;
use UpperPane\App\Entity\Release;
use UpperPane\App\Entity\SurfaceRow;
use UpperPane\App\Repository\Documents;
use UpperPane\App\Repository\HouseStyles;
use UpperPane\App\Repository\LoadedDocument;
use UpperPane\App\Repository\MediaLibrary;
use UpperPane\App\Repository\Playlists;
use UpperPane\App\Repository\Releases;
use UpperPane\App\Repository\Surfaces;
use UpperPane\App\UseCase\Design\Planning;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Design\DesignKind;
use UpperPane\Core\Plan\Inputs\Answers;
use UpperPane\Core\Plan\Inputs\Inputs;

/**
 * What is newer than what is released for a surface: the inputs of today against those that were sealed, not the
 * design's revision alone. A change that was taken back is none.
 */
final readonly class Newer
{
    public function __construct(
        private Documents $documents,
        private Releases $releases,
        private Surfaces $surfaces,
        private HouseStyles $styles,
        private MediaLibrary $media,
        private Playlists $playlists,
        private Planning $planning,
    ) {
    }

    /**
     * @return list<array{id: string, name: string, revision: int, released: ?int,
     *     why: list<array{what: string, name: string}>}> designs of the surface that no release shows as they would be
     *     now; `what` is one of `design`, `style`, `sheet`, `media`,
     *     `playlist`
     */
    public function on(SurfaceRow $surface): array
    {
        $latest = $this->releases->latest($surface);
        $sheet = $latest === [] ? '' : $this->sumOfSheet($surface);
        $lines = [];
        foreach ($this->surfaces->designs($surface) as $design) {
            $last = $latest[$design->id] ?? null;
            $why = $last === null
                ? [['what' => 'design', 'name' => '']]
                : $this->since($last, $design->id, $design->revision, $surface, $sheet);
            if ($why !== []) {
                $lines[] = [
                    'id' => $design->id,
                    'name' => $design->name,
                    'revision' => $design->revision,
                    'released' => $last['revision'] ?? null,
                    'why' => $why,
                ];
            }
        }

        return $lines;
    }

    /** Whether a design would be another now than in a release of it that a surface was handed. */
    public function than(Release $release, DocumentRow $design, SurfaceRow $surface): bool
    {
        $last = $this->releases->latest($surface)[$design->id] ?? null;

        return ($last['release'] ?? null) === $release->id && $last !== null
            ? $this->since($last, $design->id, $design->revision, $surface, $this->sumOfSheet($surface)) !== []
            : $design->revision > $release->revision;
    }

    /** @return list<array{what: string, name: string}> what its own surface would show otherwise than as released */
    public function of(LoadedDocument $design): array
    {
        $surface = $design->surfaceId === null ? null : $this->surfaces->byId($design->surfaceId);
        $last = $surface === null ? null : $this->releases->latest($surface)[$design->id] ?? null;

        return $surface === null || $last === null
            ? []
            : $this->since($last, $design->id, $design->revision, $surface, $this->sumOfSheet($surface));
    }

    /**
     * @param array{revision: int, made_of: ?array<string, mixed>} $last
     *
     * @return list<array{what: string, name: string}>
     */
    private function since(array $last, string $design, int $revision, SurfaceRow $surface, string $sheet): array
    {
        $isLater = $revision > $last['revision'];
        if (($last['made_of'] ?? []) === []) {
            return $isLater ? [['what' => 'design', 'name' => '']] : [];
        }
        /**
         * @var array{design: string, style_id: ?string, style: ?string, sheet: string,
         *     media: array<string, string>, lists?: array<string, string>} $was
         */
        $was = $last['made_of'];
        $why = [];
        if ($isLater && $this->sumOfDesign($design) !== $was['design']) {
            $why[] = ['what' => 'design', 'name' => ''];
        }
        $style = $was['style_id'] === null ? null : $this->styles->find($surface->site->id, $was['style_id']);
        if ($was['style'] !== ($style === null ? null : Inputs::sumOf($style->toArray()))) {
            $why[] = ['what' => 'style', 'name' => $style->name ?? ''];
        }
        if ($was['sheet'] !== $sheet) {
            $why[] = ['what' => 'sheet', 'name' => $surface->name];
        }
        $lists = $was['lists'] ?? [];
        $now = $this->playlists->find($surface->site->id, array_map(strval(...), array_keys($lists)));
        foreach ($lists as $id => $sum) {
            $list = ($now[$id] ?? null)?->list();
            if ($list === null || Inputs::sumOf($list->listed()) !== $sum) {
                $why[] = ['what' => 'playlist', 'name' => ($now[$id] ?? null)->name ?? ''];
            }
        }
        $stock = $this->media->of($surface->site->id)->expect(array_map(strval(...), array_keys($was['media'])));
        foreach ($was['media'] as $id => $sum) {
            $facts = $stock->find((string) $id);
            if (Answers::mediaSum($facts) !== $sum) {
                $why[] = ['what' => 'media', 'name' => $facts->name ?? ''];
            }
        }

        return $why;
    }

    /** Empty for a sheet that cannot be read: that is said where it is opened. */
    private function sumOfSheet(SurfaceRow $surface): string
    {
        try {
            return Inputs::sumOf($this->planning->sheet($surface)->compiledFrom());
        } catch (Refusal) {
            return '';
        }
    }

    private function sumOfDesign(string $id): string
    {
        $design = $this->documents->several(DesignKind::NAME, [$id])[$id] ?? null;

        return $design instanceof Design ? Inputs::sumOf($design->toArray()) : '';
    }
}
