<?php

declare(strict_types=1);

namespace UpperPane\Tests\App;

use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Component\Console\Tester\CommandTester;

/** The first site and its administrator, where nobody loads a demo. */
final class BeginTest extends ApiCase
{
    private const GOOD = [
        'slug' => 'harbour',
        'site' => 'Harbour terminal',
        'zone' => 'Europe/London',
        'email' => 'Petra@Harbour.example',
        'name' => 'Petra Lind',
    ];

    public function testTheAdministratorSignsInAndIsAtTheirSiteOnly(): void
    {
        [$exit, $said] = $this->begin([], 'a long enough password');
        self::assertSame(0, $exit, $said);
        $this->call(
            'POST',
            '/api/session',
            ['email' => 'petra@harbour.example', 'password' => 'a long enough password'],
            204,
        );
        $me = $this->call('GET', '/api/me')['person'];
        self::assertSame(
            ['Petra Lind', 'administrator', ['harbour']],
            [$me['name'], $me['role'], array_column($me['sites'], 'slug')],
        );
        $this->call('GET', '/api/sites/harbour/elevation', null, 200);
        $this->call('GET', '/api/sites/harrowmere/elevation', null, 404);
    }

    /** Run again it changes nothing, the password neither. */
    public function testOnceMoreChangesNothing(): void
    {
        $this->begin([], 'a long enough password');
        self::assertSame(0, $this->begin(['site' => 'Another name'], 'another long password')[0]);
        self::assertSame(
            ['Harbour terminal'],
            self::database()->fetchFirstColumn("SELECT name FROM site WHERE slug = 'harbour'"),
        );
        $this->call(
            'POST',
            '/api/session',
            ['email' => 'petra@harbour.example', 'password' => 'another long password'],
            401,
        );
    }

    /** @return iterable<string, array{array<string, string>, string, string}> what is wrong, password, words */
    public static function wrong(): iterable
    {
        yield 'a slug with a space' => [['slug' => 'har bour'], 'a long enough password', 'slug'];
        yield 'a zone that is none' => [['zone' => 'Europe/Lonon'], 'a long enough password', 'time zone'];
        yield 'an address that is none' => [['email' => 'petra'], 'a long enough password', 'address'];
        yield 'no name' => [['name' => '  '], 'a long enough password', 'names'];
        yield 'a short password' => [[], 'short', '12 characters'];
        yield 'none' => [[], '', '12 characters'];
    }

    /** @param array<string, string> $given */
    #[DataProvider('wrong')]
    public function testSaysWhatIsWrongAndMakesNothing(array $given, string $password, string $words): void
    {
        [$exit, $said] = $this->begin($given, $password);

        self::assertSame(2, $exit);
        self::assertStringContainsString($words, $said);
        self::assertSame(0, (int) self::database()->fetchOne("SELECT COUNT(*) FROM site WHERE slug LIKE 'har%bour'"));
    }

    /**
     * @param array<string, string> $given
     *
     * @return array{int, string}
     */
    private function begin(array $given, string $password): array
    {
        self::assertNotNull(self::$kernel);
        $tester = new CommandTester((new Application(self::$kernel))->find('app:begin'));
        $tester->setInputs([$password]);

        return [$tester->execute($given + self::GOOD), $tester->getDisplay()];
    }
}
