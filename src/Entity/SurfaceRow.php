<?php

declare(strict_types=1);

namespace UpperPane\App\Entity;

use Doctrine\ORM\Mapping as ORM;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Site\SurfaceSheet;

/** What one designs for. Its fields are those of the core's sheet; canvas px are kept as columns for listing. `revision` rises with every change and is the lock. */
#[ORM\Entity, ORM\Table(name: 'surface')]
class SurfaceRow
{
    private const COLUMNS = ['name' => 'name', 'kind' => 'kind', 'shape' => 'shape', 'left_mm' => 'leftMm', 'floor_mm' => 'floorMm', 'archived' => 'archived'];

    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public int $id;

    #[ORM\Column(length: 120)]
    public string $name;

    #[ORM\Column(length: 20)]
    public string $kind;

    /** @var array<string, mixed> as the core reads a surface */
    #[ORM\Column(type: 'json')]
    public array $shape;

    #[ORM\Column]
    public int $canvasWidth;

    #[ORM\Column]
    public int $canvasHeight;

    #[ORM\Column]
    public int $leftMm;

    #[ORM\Column]
    public int $floorMm;

    /** @var array<string, mixed> the sheet's other fields */
    #[ORM\Column(type: 'json')]
    public array $details;

    #[ORM\Column]
    public bool $archived = false;

    #[ORM\Column]
    public int $revision = 0;

    public function __construct(
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)] public Site $site,
        #[ORM\Column(length: 60, unique: true)] public string $code,
        SurfaceSheet $sheet,
        #[ORM\Column(length: 36, unique: true, nullable: true)] public ?string $madeAs = null,
    ) {
        $this->take($sheet);
    }

    public function sheet(): SurfaceSheet
    {
        $fields = $this->details;
        foreach (self::COLUMNS as $field => $column) {
            $fields[$field] = $this->$column;
        }

        return SurfaceSheet::parse(Input::of($fields));
    }

    public function take(SurfaceSheet $sheet): void
    {
        foreach (self::COLUMNS as $field => $column) {
            $this->$column = $sheet->field($field);
        }
        $this->details = array_diff_key($sheet->toArray(), self::COLUMNS);
        $this->canvasWidth = $sheet->surface->canvas->width;
        $this->canvasHeight = $sheet->surface->canvas->height;
    }
}
