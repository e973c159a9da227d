<?php

declare(strict_types=1);

namespace App\Tests\Support;

use App\Entity\FeastRecord;
use App\Repository\FeastRepository;
use App\Repository\KitchenRepository;
use App\Tests\Words\Untranslated;
use App\Tests\Words\UsedIds;
use Symfony\Bundle\FrameworkBundle\KernelBrowser;
use Symfony\Bundle\FrameworkBundle\Test\WebTestCase;
use Twig\Environment;

/** A browser without a screen on the demo kitchen; every test is rolled back. */
abstract class BrowserCase extends WebTestCase
{
    protected KernelBrowser $browser;

    /** @var array<string, true>|null every text in the code, gathered once */
    private static ?array $texts = null;

    protected function setUp(): void
    {
        $this->browser = static::createClient(server: ['HTTP_HOST' => '127.0.0.1']);
        $this->browser->disableReboot();
    }

    /** What a page says stands in the catalogue; names that people gave do not. */
    protected function tearDown(): void
    {
        $said = array_keys(Untranslated::$ids);
        Untranslated::$ids = [];
        if ([] !== $said) {
            self::$texts ??= UsedIds::sentences(\dirname(__DIR__, 2), static::getContainer()->get(Environment::class));
            self::assertSame([], array_values(array_filter($said, static fn (string $id): bool => isset(self::$texts[$id]))));
        }
        parent::tearDown();
    }

    protected function feast(): FeastRecord
    {
        $kitchen = static::getContainer()->get(KitchenRepository::class)->local();
        self::assertNotNull($kitchen);

        return static::getContainer()->get(FeastRepository::class)->all($kitchen)[0];
    }

    protected function address(string $station): string
    {
        return '/feasts/'.$this->feast()->getId().'/'.$station;
    }

    protected function text(string $selector): string
    {
        return trim((string) preg_replace('/\s+/', ' ', $this->browser->getCrawler()->filter($selector)->first()->text()));
    }
}
