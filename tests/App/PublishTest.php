<?php

declare(strict_types=1);

namespace UpperPane\Tests\App;

use UpperPane\App\Repository\Players;
use UpperPane\App\UseCase\Player\PublishAll;

/** What players fetch is made from the database, whatever became of the files (review of security, H3). */
final class PublishTest extends ApiCase
{
    private const PLAYER = 'gate-1';
    private string $folder;
    private string $orders;

    protected function setUp(): void
    {
        parent::setUp();
        $this->folder = getenv('UPPER_PANE_VAR').'/published';
        $player = self::getContainer()->get(Players::class)->byCode(self::PLAYER);
        self::assertNotNull($player);
        $this->orders = "{$this->folder}/orders/{$player->ordersKey}.json";
        $this->chore();
    }

    protected function tearDown(): void
    {
        is_dir($this->orders) && rmdir($this->orders);
        $this->chore();
        parent::tearDown();
    }

    /** @return list<string> the files a player of this release needs, the orders first */
    private function files(): array
    {
        $orders = json_decode((string) file_get_contents($this->orders), true);
        $programme = $this->folder.$orders['programme']['url'];
        $content = json_decode((string) file_get_contents($programme), true);
        $base = $this->folder.$content['intervals'][0]['plan']['base'];
        $plan = json_decode((string) file_get_contents("{$base}plan.json"), true);

        return [
            $this->orders,
            $programme,
            "{$base}plan.json",
            $this->folder.$content['idle']['base'].'plan.json',
            $this->folder.$orders['sheets'][$content['intervals'][0]['plan']['sha256']]['s1']['url'],
            ...array_map(static fn (array $media) => $base.$media['sha256'], $plan['media']),
        ];
    }

    public function testWhatIsGoneOrCutOffIsWrittenAnew(): void
    {
        $files = $this->files();
        $before = array_map(static fn (string $file) => hash_file('sha256', $file), $files);
        foreach ($files as $index => $file) {
            unlink($file);
            $this->chore();
            self::assertSame($before[$index], hash_file('sha256', $file), "$file, deleted");
            file_put_contents($file, substr((string) file_get_contents($file), 0, 5));
            $this->chore();
            self::assertSame($before[$index], hash_file('sha256', $file), "$file, cut off");
        }
        self::assertSame([], glob("{$this->folder}/*/*.new"), 'nothing half-written stays');
    }

    /** What is right is left alone: players are not sent to look again. */
    public function testWhatIsRightIsLeftAlone(): void
    {
        $times = array_map(filemtime(...), $this->files());
        $this->chore();
        clearstatcache();

        self::assertSame($times, array_map(filemtime(...), $this->files()));
    }

    /** While it cannot be written, as on a full disk, the card says so; then it goes on by itself. */
    public function testTheCardSaysWhatWaitsAndWhy(): void
    {
        $this->signIn();
        unlink($this->orders);
        mkdir($this->orders);
        $gate = $this->handed(self::PLAYER);
        $this->handOff(self::PLAYER, $gate['releases'][0]['release']);
        $waiting = $this->state();
        self::assertSame('publish.unwritten', $waiting['waits']['code']);
        self::assertStringContainsString('every minute', $waiting['waits']['mend']);
        self::assertSame($gate['after'] + 1, $this->handed(self::PLAYER)['after'], 'the hand-off stands');

        rmdir($this->orders);
        $this->chore();
        self::assertNull($this->state()['waits']);
        self::assertFileExists($this->orders);
    }

    /** @return array<string, mixed> */
    private function state(): array
    {
        return array_column($this->handed(self::PLAYER)['players'], null, 'code')[self::PLAYER];
    }

    private function chore(): void
    {
        self::getContainer()->get(PublishAll::class)->run();
    }
}
