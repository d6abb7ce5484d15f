<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Fill;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Web\Origin;

/**
 * Where a live picture comes from: a stand-in that ships with the app, a stream (HLS, RFC 8216, or what a browser plays
 * by itself) at an address, or a capture device of the player by its name. Empty as long as nobody said which.
 */
final readonly class LiveSource
{
    private const FIELDS = ['stand-in' => 'name', 'stream' => 'address', 'device' => 'name'];
    public const STAND_INS = ['pattern', 'camera', 'television'];
    private const LONGEST = 2000;

    private function __construct(public string $as, public string $where)
    {
    }

    /** @throws Refusal `live.address` */
    public static function parse(Input $input): self
    {
        $as = (string) $input->choice('as', array_keys(self::FIELDS));
        $field = self::FIELDS[$as];
        $input->keys(['as', $field]);
        if ($as === 'stand-in') {
            return new self($as, (string) $input->choice($field, self::STAND_INS));
        }
        $where = trim($input->text($field, self::LONGEST));
        $isAddress = Origin::of($where) !== null && preg_match('/[\s@\\\\]/', $where) === 0;
        if ($as === 'stream' && $where !== '' && !$isAddress) {
            throw Refusal::because('live.address', $input->pathTo($field), ['value' => $where]);
        }

        return new self($as, $where);
    }

    /** @return array<string, string> */
    public function toArray(): array
    {
        return ['as' => $this->as, self::FIELDS[$this->as] => $this->where];
    }
}
