<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan\Inputs;

use UpperPane\Core\Base\CanonicalJson;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Design\DesignReader;
use UpperPane\Core\Design\Fill\PlaylistFill;
use UpperPane\Core\Design\Lists;
use UpperPane\Core\Design\Upgrade;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Plan\Plan;
use UpperPane\Core\Plan\PlanCompiler;
use UpperPane\Core\Plan\PlanContext;
use UpperPane\Core\Site\NamedId;
use UpperPane\Core\Site\SurfaceSheet;
use UpperPane\Core\Style\HouseStyle;
use UpperPane\Core\Style\Palette;
use UpperPane\Core\Text\Fonts;

/**
 * All that a plan was compiled of (model §11), sealed with it: design, house style, the surface's sheet, and every
 * answer that the compiler got of the Stock, of pages, of variants, of measured lines and of faces. The same plan comes
 * of it on any other day, whatever became of them since.
 */
final readonly class Inputs
{
    public const VERSION = 1;

    private function __construct(
        public Design $design,
        public ?HouseStyle $style,
        public SurfaceSheet $sheet,
        public ?string $area,
        private string $zone,
        private int $fromMs,
        private Answers $answers,
    ) {
    }

    /**
     * Of a compilation: the context records what is asked of it, so it is whole once the plan was made.
     *
     * @return array{PlanContext, \Closure(): self}
     */
    public static function recording(
        Design $design,
        ?HouseStyle $style,
        SurfaceSheet $sheet,
        ?string $area,
        PlanContext $context,
    ): array {
        $answers = new Answers();

        return [
            $context->asking($answers),
            static fn () => new self(
                $design,
                $style,
                $sheet,
                $area,
                $context->zone->getName(),
                $context->fromMs,
                $answers,
            ),
        ];
    }

    /** @param array<string, mixed> $sealed as {@see self::toArray()} wrote it */
    public static function read(array $sealed): self
    {
        $input = Input::of($sealed);
        $input->choice('inputs', [self::VERSION]);
        /** @var array<string, mixed> $design */
        $design = $input->child('design')->raw();
        /** @var array<string, mixed> $sheet */
        $sheet = $input->child('sheet')->raw();

        return new self(
            DesignReader::read(Input::of(Upgrade::whole($design))),
            $input->optional('style') === null ? null : HouseStyle::parse($input->child('style')),
            SurfaceSheet::ofCanonical($sheet),
            $input->optional('area') === null ? null : NamedId::Area->of($input->text('area', 60)),
            $input->text('zone', 60),
            $input->int('from_ms', 0, \PHP_INT_MAX),
            Answers::read($input->child('answers')),
        );
    }

    /**
     * The plan, compiled again.
     *
     * @param Fonts $fonts faces are named by their bytes: one that has others now is refused
     *
     * @throws \UpperPane\Core\Base\Refusal `inputs.face_gone`
     */
    public function plan(Fonts $fonts): Plan
    {
        $context = new PlanContext(
            $this->answers->media(),
            $this->answers->pages(),
            $this->answers->fonts($fonts),
            new \DateTimeZone($this->zone),
            $this->fromMs,
            Rational::of(1),
            variants: $this->answers->variants(),
            widths: $this->answers->widths(),
        );
        $styled = $this->style === null ? $context : $context->styledBy(Palette::of($this->style));

        return PlanCompiler::compile(
            $this->design,
            $this->sheet->surface,
            ($this->design->still ? $styled->unmoved() : $styled)
                ->seenFrom($this->sheet->viewingMm()[1], $this->sheet->surface->pitchXUm),
            $this->area === null ? null : $this->sheet->areas[$this->area] ?? null,
        )->leavingBy($this->sheet->outputMap());
    }

    /**
     * What each part of it is, by its sum: two inputs are compared by these, without reading them whole.
     *
     * @return array{design: string, style_id: ?string, style: ?string, sheet: string, media: array<string, string>,
     *     lists: array<string, string>} `lists`: what playlists of the Stock gave it
     */
    public function sums(): array
    {
        return [
            'design' => self::sumOf(Lists::apart($this->design)->toArray()),
            'style_id' => $this->design->style,
            'style' => $this->style === null ? null : self::sumOf($this->style->toArray()),
            'sheet' => self::sumOf($this->sheet->compiledFrom()),
            'media' => $this->answers->mediaSums(),
            'lists' => array_map(
                static fn (PlaylistFill $list) => self::sumOf($list->listed()),
                Lists::given($this->design),
            ),
        ];
    }

    /** @param array<string, mixed> $part */
    public static function sumOf(array $part): string
    {
        return CanonicalJson::sha256($part);
    }

    /** @return array<string, mixed> only strings, booleans, null and integers */
    public function toArray(): array
    {
        return [
            'inputs' => self::VERSION,
            'design' => $this->design->toArray(),
            'style' => $this->style?->toArray(),
            'sheet' => $this->sheet->toArray(),
            'area' => $this->area,
            'zone' => $this->zone,
            'from_ms' => $this->fromMs,
            'answers' => $this->answers->toArray(),
        ];
    }
}
