<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Player;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Adapter\Published;
use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\App\Entity\Person;
use UpperPane\App\Entity\Player;
use UpperPane\App\Job\Lane;
use UpperPane\App\Job\Queue;
use UpperPane\App\Repository\Knocks;
use UpperPane\App\Repository\Players;
use UpperPane\App\UseCase\Absent;
use UpperPane\App\UseCase\Gate;
use UpperPane\App\UseCase\Recorder;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Legibility\Qr\QrCode;
use UpperPane\Core\Legibility\Qr\QrLevel;
use UpperPane\Core\Site\PairingCode;
use UpperPane\Core\Site\Right;

/**
 * A page makes up a token and asks to be a player; it shows a code until a technician types that code. A token is sent
 * by the page alone and kept as a hash, so asking again, or an answer that was lost, changes nothing.
 */
final readonly class PairPlayer
{
    public function __construct(
        private EntityManagerInterface $entities,
        private Players $players,
        private Knocks $knocks,
        private PublishOrders $orders,
        private Published $published,
        private Gate $gate,
        private Recorder $recorder,
        private Queue $queue,
        private ShiftedClock $clock,
    ) {
    }

    /**
     * @param string $from address of the client
     *
     * @return array<string, string|int> `orders` and `name` for the player; else the `code` to show and `until_ms`
     *
     * @throws Refusal `pairing.token_form`, `pairing.too_many`
     */
    public function ask(string $code, string $token, string $from): array
    {
        $hash = self::hash($token, '');
        $player = $this->players->byCode($code) ?? throw Absent::named('player');

        return $player->tokenHash !== null && hash_equals($player->tokenHash, $hash)
            ? ['state' => 'paired', 'orders' => "/orders/{$player->ordersKey}.json", 'name' => $player->name]
            : ['state' => 'waiting', 'name' => $player->name]
                + $this->knocks->of($player, $hash, $this->clock->nowMs(), $from);
    }

    /**
     * Makes the page that shows a code the player, or the one that this person opens with a token made up for it. What
     * was the player before is none any more, and the address of its orders goes.
     *
     * @param Input $input `pairing_code` as typed, or `token`
     *
     * @throws Refusal `pairing.unknown` at `/pairing_code`
     */
    public function admit(string $code, Input $input, Person $person): void
    {
        $input->keys(['pairing_code', 'token']);
        $player = $this->players->byCode($code) ?? throw Absent::named('player');
        $this->gate->demand($person, Right::Pair, $player->surface);
        $hash = $input->has('token')
            ? self::hash($input->text('token'), $input->pathTo('token'))
            : $this->shown($player, $input->child('pairing_code'));
        $oldKey = $this->entities->wrapInTransaction(function () use ($player, $hash): ?string {
            $this->players->lock($player);
            if ($player->tokenHash === $hash) {
                return null;
            }
            $oldKey = $player->ordersKey;
            $player->tokenHash = $hash;
            $player->ordersKey = bin2hex(random_bytes(20));
            $player->renumber($this->clock->nowMs());
            $this->queue->add(PublishJob::KIND, ['player' => $player->code], Lane::Now);

            return $oldKey;
        });
        if ($oldKey !== null) {
            $this->published->withdraw($oldKey);
            ($this->orders)($player);
            $this->recorder->record($person, 'player.pair', $code);
        }
    }

    /**
     * The way to a player's card, for whoever stands before its screen and is signed in: a QR code.
     *
     * @param string $origin scheme and host of the app
     *
     * @return string SVG
     */
    public function door(string $code, string $origin): string
    {
        $player = $this->players->byCode($code) ?? throw Absent::named('player');

        return QrCode::of("$origin/{$player->surface->site->slug}/hand-off/$code", QrLevel::M)->svg();
    }

    public function byToken(string $code, string $token): ?Player
    {
        $player = $this->players->byCode($code);

        return $player?->tokenHash !== null && hash_equals($player->tokenHash, hash('sha256', $token)) ? $player : null;
    }

    private function shown(Player $player, Input $typed): string
    {
        $code = PairingCode::parse($typed);

        return $this->knocks->showing($player, $code, $this->clock->nowMs())
            ?? throw Refusal::because('pairing.unknown', $typed->path, [
                'typed' => $code->signs,
                'player' => $player->code,
            ]);
    }

    private static function hash(string $token, string $path): string
    {
        return preg_match('/^[0-9a-f]{48}$/D', $token) === 1
            ? hash('sha256', $token)
            : throw Refusal::because('pairing.token_form', $path);
    }
}
