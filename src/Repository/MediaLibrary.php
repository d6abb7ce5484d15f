<?php

declare(strict_types=1);

namespace UpperPane\App\Repository;

use Doctrine\DBAL\Connection;
use Symfony\Contracts\Service\ResetInterface;

/** The Stocks, one for each site: nothing is looked up without saying whose. */
final class MediaLibrary implements ResetInterface
{
    /** @var array<int, SiteMedia> */
    private array $sites = [];

    public function __construct(private readonly Connection $database, private readonly Lights $lights)
    {
    }

    public function reset(): void
    {
        $this->sites = [];
    }

    public function of(int $site): SiteMedia
    {
        return $this->sites[$site] ??= new SiteMedia($this->database, $this->lights, $site);
    }
}
