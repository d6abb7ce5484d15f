<?php

declare(strict_types=1);

namespace UpperPane\Core\Change;

/**
 * Who may do what on top of what was done: pure functions over steps. An undo cancels an edit, a redo cancels an undo;
 * a step *stands* when no standing step cancels it. What was done and cancelled again is as if it had never been.
 */
final class History
{
    /**
     * What others did since a batch's base that meets it: when empty, it may be applied on the head. Steps of the
     * batch's own queue are left out: whoever made it had them in mind.
     *
     * @param iterable<Step> $since steps after the base, in any order
     *
     * @return list<Step> oldest first
     */
    public static function clashes(iterable $since, string $client, Scopes $touched): array
    {
        $others = [];
        foreach (self::standing($since) as $step) {
            if ($step->client !== $client && $step->writes->meets($touched)) {
                $others[] = $step;
            }
        }

        return $others;
    }

    /**
     * The edit that this person's undo takes back, their last one that stands; and the undo that their redo takes back,
     * their last one that stands, unless they edited anything after it.
     *
     * @param iterable<Step> $newestFirst at least this person's steps; no more are asked for than are needed
     *
     * @return array{undo: ?Step, redo: ?Step}
     */
    public static function next(iterable $newestFirst, string $author): array
    {
        $cancelled = [];
        $redo = false;
        foreach ($newestFirst as $step) {
            if ($step->author !== $author || isset($cancelled[$step->number])) {
                continue;
            }
            if ($redo === false && $step->nature !== Nature::Redo) {
                $redo = $step->nature === Nature::Undo ? $step : null;
            }
            if ($step->nature === Nature::Edit) {
                return ['undo' => $step, 'redo' => $redo ?: null];
            }
            if ($step->cancels !== null) {
                $cancelled[$step->cancels] = true;
            }
        }

        return ['undo' => null, 'redo' => $redo ?: null];
    }

    /**
     * What keeps a step from being taken back: later steps of others that stand and wrote what it touched, or what
     * taking it back would write.
     *
     * @param iterable<Step> $later   steps after the target, in any order
     * @param ?Scopes        $undoing what its inverse writes on the head, when that is known
     *
     * @return list<Step> oldest first
     */
    public static function inTheWay(Step $target, iterable $later, ?Scopes $undoing = null): array
    {
        $touched = $target->reads->and($target->writes, $undoing ?? Scopes::of());

        return array_values(
            array_filter(
                self::standing($later),
                static fn (Step $step) => $step->author !== $target->author && $step->writes->meets($touched),
            ),
        );
    }

    /**
     * Those that changed something that is still so: without what was cancelled within them, and without what cancelled
     * it.
     *
     * @param iterable<Step> $steps
     *
     * @return list<Step> oldest first
     */
    private static function standing(iterable $steps): array
    {
        $byNumber = [];
        foreach ($steps as $step) {
            $byNumber[$step->number] = $step;
        }
        krsort($byNumber);
        $gone = [];
        foreach ($byNumber as $number => $step) {
            if ($step->cancels !== null && !isset($gone[$number]) && isset($byNumber[$step->cancels])) {
                $gone[$number] = $gone[$step->cancels] = true;
            }
        }

        return array_reverse(array_values(array_diff_key($byNumber, $gone)));
    }
}
