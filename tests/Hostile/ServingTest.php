<?php

declare(strict_types=1);

namespace App\Tests\Hostile;

use App\Doctrine\WriteAheadLog;
use App\Import\LinkedData;
use App\Service\SessionFolder;
use App\Tests\Support\BrowserCase;
use Doctrine\DBAL\Driver\PDO\SQLite\Driver;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Telling\LineReader;
use FeastLadle\Telling\Telling;
use FeastLadle\Telling\TextReader;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Component\Dotenv\Dotenv;
use Symfony\Component\HttpFoundation\Session\Storage\Handler\NullSessionHandler;
use Symfony\Component\Yaml\Yaml;

/** Hostile pages cost little; what is kept is kept safely; pages go out small. */
final class ServingTest extends BrowserCase
{
    #[TestWith(['<script', 14_000])]
    #[TestWith(['<script type="ld+json">', 40_000])]
    #[TestWith(['<b>', 33_000])]
    #[TestWith(['<script type=', 7_000])]
    public function testScriptsAreFoundWithoutBuildingATree(string $part, int $times): void
    {
        $parts = (new LinkedData())->scripts('<html>'.str_repeat($part, $times));
        self::assertLessThanOrEqual(40, \count($parts));
        $page =
            '<html>'.
            str_repeat('<script>x()</script>', 500).
            '<SCRIPT nonce="a" TYPE="application/ld+json">{"@type": "Recipe"}</SCRIPT >';
        self::assertSame(['{"@type": "Recipe"}'], (new LinkedData())->scripts($page));
        self::assertCount(40, (new LinkedData())->scripts(str_repeat('<script type=application/ld+json>{}</script>', 300)));
    }

    public function testATellingWithoutEndIsRefused(): void
    {
        $reader = new TextReader(self::getContainer()->get(LineReader::class), self::getContainer()->get(Telling::class));
        $this->expectException(FaultyDocument::class);
        $this->expectExceptionMessage('12501 words');
        $reader->read('Take 1 '.str_repeat('boil it and then add ', 2500));
    }

    public function testPagesGoOutCompressedToWhoTakesIt(): void
    {
        $this->browser->request('GET', '/recipes', server: ['HTTP_ACCEPT_ENCODING' => 'br, gzip']);
        $response = $this->browser->getResponse();
        self::assertSame('gzip', $response->headers->get('Content-Encoding'));
        self::assertContains('Accept-Encoding', $response->getVary());
        $page = gzdecode((string) $response->getContent());
        self::assertStringContainsString('</html>', (string) $page);
        $this->browser->request('GET', '/recipes');
        self::assertFalse($this->browser->getResponse()->headers->has('Content-Encoding'));
    }

    public function testABookOpensForEachUseAsItMust(): void
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'book');
        try {
            $connection = (new WriteAheadLog())->wrap(new Driver())->connect(['path' => $path]);
            self::assertSame('wal', $connection->query('PRAGMA journal_mode')->fetchOne());
            self::assertEquals(2, $connection->query('PRAGMA synchronous')->fetchOne(), 'what is answered is on the disk');
        } finally {
            array_map(static fn (string $end): bool => @unlink($path.$end), ['', '-wal', '-shm']);
        }
    }

    public function testWithoutAWritableFolderThereAreNoSessions(): void
    {
        self::assertInstanceOf(NullSessionHandler::class, SessionFolder::handler('/nowhere/at/all'));
        self::assertNotInstanceOf(NullSessionHandler::class, SessionFolder::handler(sys_get_temp_dir()));
    }

    public function testTheLogIsCutByDayAndReadByItsOwnerOnly(): void
    {
        /** @var array<string, array{monolog: array{handlers: array<string, array<string, mixed>>}}> $file */
        $file = Yaml::parseFile(\dirname(__DIR__, 2).'/config/packages/monolog.yaml');
        $handlers = $file['when@prod']['monolog']['handlers'];
        $log = $handlers['nested'];
        self::assertSame('nested', $handlers['main']['handler']);
        self::assertSame('rotating_file', $log['type']);
        self::assertLessThanOrEqual(31, $log['max_files']);
        self::assertSame(0o600, $log['file_permission']);
    }

    public function testSessionsAreClearedAwayAndNothingIsOpenWhereNothingIsSet(): void
    {
        $root = \dirname(__DIR__, 2);
        /** @var array{framework: array{session: array<string, mixed>}} $framework */
        $framework = Yaml::parseFile($root.'/config/packages/framework.yaml');
        $session = $framework['framework']['session'];
        self::assertSame([1, 100, 172_800], [$session['gc_probability'], $session['gc_divisor'], $session['gc_maxlifetime']]);
        self::assertSame([true, 'strict'], [$session['cookie_httponly'], $session['cookie_samesite']]);
        $set = (new Dotenv())->parse((string) file_get_contents($root.'/.env'));
        self::assertSame(['prod', '0', ''], [$set['APP_ENV'], $set['APP_DEBUG'], $set['APP_SECRET']]);
    }
}
