<?php

declare(strict_types=1);

namespace UpperPane\Core\Document\Command;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;

/** Reads any command from untrusted JSON by its `do`. */
final class CommandReader
{
    public const NAMES = [
        NameDesign::NAME, SetReflow::NAME, NameZone::NAME, SplitPane::NAME, MergePane::NAME, SpanPane::NAME, MoveMullion::NAME, SizePart::NAME, SetSizes::NAME,
        SetGutter::NAME, PutGlazing::NAME, MakeLayout::NAME, PutLayout::NAME, SetFill::NAME, AddEntry::NAME, RemoveEntry::NAME, MoveEntry::NAME, SetEntry::NAME,
    ];

    /** @throws Refusal with the place of the first fault */
    public static function read(Input $input): Command
    {
        return match ($input->choice('do', self::NAMES)) {
            NameDesign::NAME => NameDesign::parse($input),
            SetReflow::NAME => SetReflow::parse($input),
            NameZone::NAME => NameZone::parse($input),
            SplitPane::NAME => SplitPane::parse($input),
            MergePane::NAME => MergePane::parse($input),
            SpanPane::NAME => SpanPane::parse($input),
            MoveMullion::NAME => MoveMullion::parse($input),
            SizePart::NAME => SizePart::parse($input),
            SetSizes::NAME => SetSizes::parse($input),
            SetGutter::NAME => SetGutter::parse($input),
            PutGlazing::NAME => PutGlazing::parse($input),
            MakeLayout::NAME => MakeLayout::parse($input),
            PutLayout::NAME => PutLayout::parse($input),
            SetFill::NAME => SetFill::parse($input),
            AddEntry::NAME => AddEntry::parse($input),
            RemoveEntry::NAME => RemoveEntry::parse($input),
            MoveEntry::NAME => MoveEntry::parse($input),
            default => SetEntry::parse($input),
        };
    }
}
