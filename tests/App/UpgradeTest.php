<?php

declare(strict_types=1);

namespace UpperPane\Tests\App;

use DAMA\DoctrineTestBundle\Doctrine\DBAL\StaticDriver;
use Symfony\Component\Process\Process;
use UpperPane\Core\Site\NamedId;

/**
 * A database that version 1 wrote (tests/cases/upgrade) is brought up by the migrations: every design, sheet, change
 * and release opens, and says what version 1 said of it.
 */
final class UpgradeTest extends ApiCase
{
    private const LAST_OF_VERSION_1 = 'UpperPane\Migrations\Version20261124230000';
    private const CAFE = '0b0c1d00-0000-4000-8000-000000000005';
    private static string $address = '';

    public static function setUpBeforeClass(): void
    {
        $here = (string) getenv('UPPER_PANE_DATABASE');
        self::$address = $here.'_upgrade';
        $main = self::connect($here);
        $main->exec('DROP DATABASE IF EXISTS upper_pane_upgrade');
        $main->exec('CREATE DATABASE upper_pane_upgrade CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci');
        self::migrate(self::LAST_OF_VERSION_1);
        $upgraded = self::connect(self::$address);
        $statements = array_filter(
            explode(";\n", (string) file_get_contents(self::case('version-1.sql'))),
            static fn (string $sql) => trim($sql) !== '',
        );
        array_walk($statements, static fn (string $sql) => $upgraded->exec($sql));
        self::migrate('latest');
    }

    protected function setUp(): void
    {
        StaticDriver::setKeepStaticConnections(false);
        $_ENV['UPPER_PANE_DATABASE'] = $_SERVER['UPPER_PANE_DATABASE'] = self::$address;
        parent::setUp();
        self::database()->beginTransaction();
        $this->signIn();
    }

    protected function tearDown(): void
    {
        self::database()->rollBack();
        parent::tearDown();
        StaticDriver::setKeepStaticConnections(true);
        $_ENV['UPPER_PANE_DATABASE'] = $_SERVER['UPPER_PANE_DATABASE'] = (string) getenv('UPPER_PANE_DATABASE');
    }

    public function testEveryDesignOpensAsItWas(): void
    {
        foreach ($this->expected()['designs'] as $id => $was) {
            $whole = $this->call('GET', "/api/documents/$id", null, 200);
            $rects = static fn (array $answer): array => array_column($answer['zones'], 'rect', 'letter');

            self::assertSame([$was['name'], $was['revision']], [$whole['name'], $whole['revision']]);
            self::assertEquals($was['zones'], $rects($whole), $was['name']);
            $kinds = array_map(
                static fn (array $zone) => $zone['fill']['kind'],
                array_column($whole['documents'], null, 'letter'),
            );
            self::assertEquals($was['fills'], $kinds);
            if (isset($was['turned'])) {
                self::assertEquals(
                    $was['turned'],
                    $rects($this->call('GET', "/api/documents/$id?layout=turned", null, 200)),
                );
            }
            $history = $this->call('GET', "/api/documents/$id/revisions", null, 200)['revisions'];
            self::assertSame($was['revision'], $history[0]['number']);

            // And if what is stored were damaged, it would come back.
            self::database()->executeStatement("UPDATE part SET content = '' WHERE document_id = ?", [$id]);
            $mended = $this->call('POST', "/api/documents/$id/mend", ['batch' => self::uuid()], 200);
            self::assertSame($was['revision'], $mended['from']);
            self::assertEquals($was['zones'], $rects($this->call('GET', "/api/documents/$id", null, 200)));
        }
    }

    public function testEverySheetOpensAsItWas(): void
    {
        $there = array_column(
            $this->call('GET', '/api/sites/harrowmere/elevation', null, 200)['surfaces'],
            null,
            'code',
        );
        foreach ($this->expected()['surfaces'] as $code => $was) {
            self::assertEquals($was, [
                'name' => $there[$code]['name'],
                'canvas' => $there[$code]['canvas'],
                'revision' => $there[$code]['revision'],
                'players' => array_column($there[$code]['players'], 'outputs', 'player'),
            ]);
        }
        $this->signIn('theo');
        $hall = [NamedId::Group->of('Hall')];
        self::assertSame($hall, $there['hall']['groups'], 'its last change was taken back before');
        $redone = $this->step('redo', document: $there['hall']['document']);
        self::assertSame(
            array_map(NamedId::Group->of(...), ['Hall', 'Quay']),
            $redone['groups'],
            'and can be done again now',
        );
        self::assertContains(
            ['id' => NamedId::Group->of('Quay'), 'name' => 'Quay'],
            $this->call('GET', '/api/sites/harrowmere/elevation', null, 200)['book']['groups'],
            'the book knows what history may bring back',
        );
    }

    public function testWhatWasDoneBeforeIsUndoneAndDoneAgain(): void
    {
        $again = $this->step('redo', document: self::CAFE);
        self::assertContains('D', array_column($again['zones'], 'letter'), 'the split that was taken back');
        $refused = $this->step('undo', 409, document: self::CAFE);
        self::assertSame('undo.changed_since', $refused['code'], 'what somebody else put into it would go with it');
        $edited = $this->edit(
            [['do' => 'zone.name', 'zone' => 'z-right', 'name' => 'Today']],
            $again['revision'],
            document: self::CAFE,
        );
        self::assertSame('Today', $edited['documents']['z-right']['name']);
    }

    public function testReleasesStayAsTheyWereSealedAndAreHandedOver(): void
    {
        $cafe = $this->handed('cafe');
        $sealed = $this->call('GET', "/api/releases/{$cafe['ordered']['release']}/plan", null, 200)['plan'];

        self::assertSame(['Café menu', 1, 1], [$cafe['ordered']['name'], $cafe['ordered']['number'], $sealed['plan']]);
        $release = $this->handed('gate-2')['releases'][0]['release'];
        self::assertSame('waiting', $this->handOff('gate-2', $release)['state']);
        $back = $this->handOff('cafe', $cafe['ordered']['release']);
        self::assertSame([$cafe['after'] + 1, 1], [$back['after'], $back['ordered']['number']], 'again as 1');
    }

    /** @return array<string, array<string, array<string, mixed>>> */
    private function expected(): array
    {
        /** @var array<string, array<string, array<string, mixed>>> */
        return json_decode((string) file_get_contents(self::case('version-1.json')), true, 32, \JSON_THROW_ON_ERROR);
    }

    private static function case(string $file): string
    {
        return \dirname(__DIR__)."/cases/upgrade/$file";
    }

    private static function connect(string $address): \PDO
    {
        $parts = parse_url($address) ?: [];
        $name = trim($parts['path'] ?? '', '/');

        return new \PDO(
            "mysql:host={$parts['host']};port={$parts['port']};dbname=$name;charset=utf8mb4",
            $parts['user'] ?? '',
            $parts['pass'] ?? '',
        );
    }

    private static function migrate(string $version): void
    {
        $root = \dirname(__DIR__, 2);
        $process = new Process(
            ["$root/bin/console", 'doctrine:migrations:migrate', $version, '--no-interaction', '--quiet'],
            $root,
            ['UPPER_PANE_DATABASE' => self::$address, 'APP_ENV' => 'prod'],
        );
        $process->setTimeout(120)->mustRun();
    }
}
