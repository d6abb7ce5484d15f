<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Fill;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;

/** Some characters of a text, one after another, in another weight or colour. Characters are Unicode code points. */
final readonly class TextRun
{
    use Altered;

    private const MOST = 200;

    private function __construct(
        public int $from,
        public int $to,
        public ?int $weight,
        public ?Colour $colour,
    ) {
    }

    /**
     * In order, none over another, all inside the text.
     *
     * @return list<self>
     *
     * @throws Refusal `text.run_misplaced`
     */
    public static function parseAll(Input $list, string $text): array
    {
        $runs = [];
        $free = 0;
        $end = mb_strlen($text);
        foreach ($list->asList(self::MOST) as $input) {
            $input->keys(['from', 'to', 'weight', 'colour']);
            $run = new self(
                $input->int('from', 0, TextFill::LONGEST),
                $input->int('to', 1, TextFill::LONGEST),
                $input->optional('weight')?->asInt(100, 900),
                $input->optional('colour') === null ? null : Colour::parse($input->child('colour')),
            );
            if ($run->from < $free || $run->to <= $run->from || $run->to > $end) {
                throw Refusal::because('text.run_misplaced', $input->path, [
                    'from' => $run->from,
                    'to' => $run->to,
                    'free' => $free,
                    'end' => $end,
                ]);
            }
            $free = $run->to;
            $runs[] = $run;
        }

        return $runs;
    }

    public function resolved(Names $names): self
    {
        return $this->altered([
            'colour' => $this->colour === null ? null : $names->colour($this->colour),
        ]);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['from' => $this->from, 'to' => $this->to] +
            array_filter(['weight' => $this->weight, 'colour' => $this->colour?->said]);
    }
}
