<?php

declare(strict_types=1);

namespace UpperPane\Tests\App;

/** Who becomes a player: the page whose code a technician typed, and no other (review of security, M1). */
final class PairingTest extends ApiCase
{
    private const PLAYER = 'kiosk-1';

    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn('theo');
    }

    public function testThePageWhoseCodeIsTypedIsThePlayer(): void
    {
        [$mine, $other] = [self::token(), self::token()];
        $shown = $this->ask($mine);
        self::assertSame('waiting', $this->ask($other)['state']);
        self::assertSame($shown, $this->ask($mine), 'the same code for as long as it lives');

        $this->admit(['pairing_code' => strtolower(chunk_split($shown['code'], 3, ' '))], 204);
        $paired = $this->ask($mine);
        $this->admit(['pairing_code' => $shown['code']], 204);

        self::assertSame(['paired', 'waiting'], [$paired['state'], $this->ask($other)['state']]);
        self::assertSame($paired, $this->ask($mine), 'typed again, it is the same pairing');
        self::assertFileExists($this->published($paired['orders']));
    }

    public function testPairingAnotherEndsTheOne(): void
    {
        [$old, $new] = [self::token(), self::token()];
        $this->admit(['token' => $old], 204);
        $before = $this->ask($old);
        $this->admit(['pairing_code' => $this->ask($new)['code']], 204);
        $after = $this->ask($new);

        self::assertSame(['waiting', 'paired'], [$this->ask($old)['state'], $after['state']]);
        self::assertNotSame($before['orders'], $after['orders']);
        self::assertFileDoesNotExist($this->published($before['orders']));
    }

    public function testACodeThatNoScreenShowsIsRefusedBesideItsField(): void
    {
        $code = $this->ask(self::token())['code'];
        self::database()->executeStatement('UPDATE knock SET until_ms = 0');

        foreach ([[$code, 'pairing.unknown'], ['K7M', 'pairing.form']] as [$typed, $refused]) {
            $answer = $this->admit(['pairing_code' => $typed], 422);
            self::assertSame([$refused, '/pairing_code'], [$answer['code'], $answer['path']]);
        }
        self::assertNotSame($code, $this->ask(self::token())['code']);
        self::assertSame('pairing.token_form', $this->ask('short', 422)['code']);
    }

    /** Whoever asks without end is refused: a code that a wall shows stays, from whatever address others come. */
    public function testStrangersCannotPushOutACodeThatIsShown(): void
    {
        $wall = self::token();
        $shown = $this->ask($wall);
        $refused = 0;
        for ($i = 0; $i < 100; ++$i) {
            $answer = $this->call('POST', '/api/play/'.self::PLAYER.'/pair', null, null, [
                'HTTP_AUTHORIZATION' => 'Bearer '.self::token(),
                'REMOTE_ADDR' => '192.0.2.'.(1 + $i % 4),
            ]);
            $refused += ($answer['code'] ?? '') === 'pairing.too_many' ? 1 : 0;
        }

        self::assertSame(100 - 48, $refused, 'twelve of each address');
        self::assertSame($shown, $this->ask($wall));
        $this->admit(['pairing_code' => $shown['code']], 204);
        self::assertSame('paired', $this->ask($wall)['state']);
    }

    /** @return array<string, mixed> */
    private function ask(string $token, int $status = 200): array
    {
        return $this->call('POST', '/api/play/'.self::PLAYER.'/pair', null, $status, [
            'HTTP_AUTHORIZATION' => "Bearer $token",
        ]);
    }

    /**
     * @param array<string, string> $how
     *
     * @return array<string, mixed>
     */
    private function admit(array $how, int $status): array
    {
        return $this->call('POST', '/api/players/'.self::PLAYER.'/pairing', $how, $status);
    }

    private static function token(): string
    {
        return bin2hex(random_bytes(24));
    }
}
