<?php

declare(strict_types=1);

namespace UpperPane\Core\Change;

use UpperPane\Core\Base\Refusal;

/** Reading what was stored: whatever is wrong with it becomes one refusal, so that nothing else fails with it. */
final class Stored
{
    /**
     * @template T
     *
     * @param string        $path where the value lies in its document, JSON Pointer
     * @param callable(): T $read
     *
     * @return T
     *
     * @throws Refusal `document.damaged`
     */
    public static function read(string $path, callable $read): mixed
    {
        try {
            return $read();
        } catch (Refusal $refusal) {
            $known = $refusal->refusalCode === 'document.damaged';
            throw $known ? $refusal : self::damaged($refusal->path, $refusal->getMessage());
        } catch (\JsonException $fault) {
            throw self::damaged($path, $fault->getMessage().'.');
        } catch (\TypeError|\ValueError) {
            throw self::damaged($path, 'Something of it is missing.');
        }
    }

    private static function damaged(string $path, string $why): Refusal
    {
        return Refusal::because('document.damaged', $path, ['why' => $why]);
    }
}
