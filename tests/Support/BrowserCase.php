<?php

declare(strict_types=1);

namespace App\Tests\Support;

use App\Entity\Feast;
use App\Repository\FeastRepository;
use App\Repository\KitchenRepository;
use Symfony\Bundle\FrameworkBundle\KernelBrowser;
use Symfony\Bundle\FrameworkBundle\Test\WebTestCase;

/** A browser without a screen on the demo kitchen; every test is rolled back. */
abstract class BrowserCase extends WebTestCase
{
    protected KernelBrowser $browser;

    protected function setUp(): void
    {
        $this->browser = static::createClient(server: ['HTTP_HOST' => '127.0.0.1']);
        $this->browser->disableReboot();
    }

    protected function feast(): Feast
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
