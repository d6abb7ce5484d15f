<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Zones;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scope;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Design\Follow;
use UpperPane\Core\Design\Spot;

/**
 * `zone.follow`: a zone goes in step with another one, or by itself again. Whoever follows one that follows is in step
 * with the one that leads both. Refuses `document.zone_gone`, `sync.circle` for zones that would lead each other.
 */
final readonly class FollowZone implements DesignCommand
{
    public const NAME = 'zone.follow';

    public function __construct(private string $zone, private ?Follow $follow)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'zone', 'follows']);
        $follow = $input->optional('follows');

        return new self($input->id('zone'), $follow === null ? null : Follow::parse($follow));
    }

    public function apply(Document $document): Change
    {
        $zone = $document->zone($this->zone);
        $chain = $this->chain($document);

        return new Change(
            $document->withZone($zone->following($this->follow)),
            [new self($this->zone, $zone->follow())],
            Scopes::of(
                Spot::zoneThere($this->zone),
                ...array_map(Spot::zoneThere(...), $chain),
                ...array_map(Spot::follows(...), $chain),
            ),
            Scopes::of(Spot::follows($this->zone)),
            ['letter' => $zone->letter()],
        );
    }

    public function target(): Scope
    {
        return Spot::follows($this->zone);
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'zone' => $this->zone, 'follows' => $this->follow?->toArray()];
    }

    /** @return list<string> the zones that lead it, the nearest first, as far as there are any */
    private function chain(Design $design): array
    {
        $chain = [];
        for ($leader = $this->follow?->leader; $leader !== null; $leader = self::leader($design, $leader)) {
            if ($leader === $this->zone) {
                throw Refusal::because('sync.circle', '/follows/zone', [
                    'letter' => $design->zone($this->zone)->letter(),
                    'leader' => $design->zone($chain[0] ?? $leader)->letter(),
                ]);
            }
            if ($chain === []) {
                $design->zone($leader);
            }
            $chain[] = $leader;
        }

        return $chain;
    }

    private static function leader(Design $design, string $zone): ?string
    {
        return ($design->zones[$zone] ?? null)?->follow()?->leader;
    }
}
