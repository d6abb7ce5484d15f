<?php

declare(strict_types=1);

namespace UpperPane\App\Repository;

use UpperPane\Core\Base\ByName;
use UpperPane\Core\Book\BookKind;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Kind;
use UpperPane\Core\Design\DesignKind;
use UpperPane\Core\Design\Starters\StartersKind;
use UpperPane\Core\Site\SurfaceKind;
use UpperPane\Core\Style\StyleKind;

/** Every kind of document there is: one line each. */
final readonly class Kinds
{
    /** @var array<string, Kind<Document>> */
    private array $kinds;

    /** @param Kind<Document> ...$more */
    public function __construct(Kind ...$more)
    {
        $this->kinds = ByName::each(
            [new DesignKind(), new SurfaceKind(), new StartersKind(), new StyleKind(), new BookKind(), ...$more],
            static fn (Kind $kind) => $kind->name(),
        );
    }

    /** @return array<string, Kind<Document>> by name */
    public function all(): array
    {
        return $this->kinds;
    }

    /** @return Kind<Document> */
    public function named(string $name): Kind
    {
        return $this->kinds[$name] ?? throw new \LogicException("There is no kind of document called $name.");
    }
}
