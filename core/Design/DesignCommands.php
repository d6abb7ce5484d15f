<?php

declare(strict_types=1);

namespace UpperPane\Core\Design;

use UpperPane\Core\Change\Commands;

/** Every command there is on a design: one line each. */
final class DesignCommands
{
    /** @var list<class-string<DesignCommand>> */
    private const ALL = [
        Scenes\NameDesign::class,
        Scenes\RestoreDesign::class,
        Scenes\SetReflow::class,
        Scenes\SetSurfaces::class,
        Scenes\ArchiveDesign::class,
        Scenes\SetStyle::class,
        Scenes\SetStill::class,
        Scenes\AddScene::class,
        Scenes\DuplicateScene::class,
        Scenes\PutScene::class,
        Scenes\RemoveScene::class,
        Scenes\MoveScene::class,
        Scenes\NameScene::class,
        Scenes\SetRound::class,
        Scenes\SetSceneLength::class,
        Scenes\SetGround::class,
        Scenes\SetTransition::class,
        Guides\PutGuide::class,
        Guides\RemoveGuide::class,
        Guides\SetLattice::class,
        Zones\NameZone::class,
        Zones\LetterAgain::class,
        Zones\SetFill::class,
        Zones\BeginFill::class,
        Zones\RunOn::class,
        Zones\FollowZone::class,
        Zones\ExchangeZone::class,
        Zones\CopyZone::class,
        Glazing\SplitPane::class,
        Glazing\MergePane::class,
        Glazing\SpanPane::class,
        Glazing\MoveMullion::class,
        Glazing\SizePart::class,
        Glazing\SetSizes::class,
        Glazing\LockPart::class,
        Glazing\SetGutter::class,
        Glazing\TurnSplit::class,
        Glazing\PutGlazing::class,
        Glazing\MakeLayout::class,
        Glazing\PutLayout::class,
        Floats\PlaceFloat::class,
        Floats\SetFloat::class,
        Floats\SetTraits::class,
        Floats\LayFloats::class,
        Floats\AlignFloats::class,
        Floats\SpreadFloats::class,
        Floats\MatchFloats::class,
        Floats\MoveFloat::class,
        Floats\SizeFloat::class,
        Floats\TurnFloat::class,
        Floats\AnchorFloat::class,
        Floats\OrderFloat::class,
        Floats\RemoveFloat::class,
        Entries\AddEntry::class,
        Entries\BeginEntry::class,
        Entries\RemoveEntry::class,
        Entries\MoveEntry::class,
        Entries\SetEntry::class,
    ];

    /** @return Commands<Design> */
    public static function all(): Commands
    {
        /** @var Commands<Design>|null $all */
        static $all = null;

        return $all ??= Commands::of(array_map(static fn (string $class) => [$class::NAME, $class], self::ALL));
    }
}
