<?php

declare(strict_types=1);

namespace UpperPane\App\Entity;

use Doctrine\ORM\Mapping as ORM;
use UpperPane\Core\Site\SurfaceSheet;

/** A surface's line in lists; what is kept of it is a document of its own. */
#[ORM\Entity, ORM\Table(name: 'surface')]
class SurfaceRow
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public int $id;

    #[ORM\Column(length: 120)]
    public string $name;

    #[ORM\Column(length: 20)]
    public string $kind;

    #[ORM\Column]
    public int $canvasWidth;

    #[ORM\Column]
    public int $canvasHeight;

    #[ORM\Column]
    public int $leftMm;

    #[ORM\Column]
    public bool $archived = false;

    /** Its last almanac with lists of its own, and a sum of what that was reckoned from. */
    #[ORM\Column(length: 64, nullable: true)]
    public ?string $almanac = null;

    #[ORM\Column(length: 64, nullable: true)]
    public ?string $almanacFor = null;

    /** @var list<string> ids of the groups it belongs to */
    #[ORM\Column(name: 'group_ids', type: 'json')]
    public array $groups = [];

    /** @var array<string, string> what its areas are called, by id */
    #[ORM\Column(type: 'json')]
    public array $areaNames = [];

    public function __construct(
        #[ORM\ManyToOne(fetch: 'EAGER'), ORM\JoinColumn(nullable: false)] public Site $site,
        #[ORM\Column(length: 60, unique: true)] public string $code,
        #[ORM\Column(name: 'document_id', length: 36)] public string $document,
        SurfaceSheet $sheet,
        #[ORM\Column(length: 36, unique: true, nullable: true)] public ?string $madeAs = null,
    ) {
        $this->follow($sheet);
    }

    /** Takes over what lists show. */
    public function follow(SurfaceSheet $sheet): void
    {
        $this->name = $sheet->name();
        $this->kind = (string) $sheet->field('kind');
        $this->leftMm = (int) $sheet->field('left_mm');
        $this->archived = (bool) $sheet->field('archived');
        $this->groups = $sheet->groups();
        $this->areaNames = $sheet->areaNames();
        $this->canvasWidth = $sheet->surface->canvas->width;
        $this->canvasHeight = $sheet->surface->canvas->height;
    }
}
