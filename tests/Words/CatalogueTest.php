<?php

declare(strict_types=1);

namespace App\Tests\Words;

use App\Export\PlanCalendar;
use App\Export\PlanText;
use App\Service\SayingTranslator;
use App\Service\Speaker;
use FeastLadle\Larder\Larder;
use FeastLadle\Measure\AmountWriter;
use FeastLadle\Planning\FeastPlanner;
use FeastLadle\Tests\Support\Shipped;
use Symfony\Bundle\FrameworkBundle\Test\KernelTestCase;
use Symfony\Component\Translation\Loader\ArrayLoader;
use Symfony\Component\Translation\Translator;
use Symfony\Component\Yaml\Yaml;
use Symfony\Contracts\Translation\TranslatorInterface;
use Twig\Environment;

/** The catalogue holds what the program says, and nothing else: a second language needs a file and no code. */
final class CatalogueTest extends KernelTestCase
{
    private const ROOT = __DIR__.'/../..';

    /** @var array<string, string> read once */
    private static array $messages = [];

    public function testEverythingSaidStandsInTheCatalogue(): void
    {
        $ids = new UsedIds(self::ROOT);
        $twig = self::getContainer()->get(Environment::class);
        $missing = [];
        foreach ([...$ids->saidInPhp(), ...$ids->inTemplates($twig)[0]] as $id => $place) {
            if (1 === preg_match('/\p{L}{2}/u', $id) && !\array_key_exists($id, self::catalogue())) {
                $missing[] = $id.'   '.$place;
            }
        }
        self::assertSame([], $missing);
    }

    public function testNothingStandsInItThatNobodySays(): void
    {
        $ids = new UsedIds(self::ROOT);
        $said = $ids->everyText() + $ids->inTemplates(self::getContainer()->get(Environment::class))[1];
        self::assertSame([], array_values(array_diff(array_keys(self::catalogue()), array_map(strval(...), array_keys($said)))));
    }

    public function testEveryMessageIsSoundAndHasThePlaceholdersOfItsId(): void
    {
        foreach (self::catalogue() as $id => $message) {
            self::assertSame($message, (new \MessageFormatter('en', $message))->getPattern(), $id);
            $names = static function (string $text): array {
                preg_match_all('/\{(\w+)[,}]/', $text, $found);
                $found = array_unique($found[1]);
                sort($found);

                return $found;
            };
            // A long text is called by its first words.
            if (!str_ends_with($id, ' …')) {
                self::assertSame($names($id), $names($message), $id);
            }
        }
    }

    public function testPluralsAndNumbersAreTheReadersLanguages(): void
    {
        $translator = self::getContainer()->get(TranslatorInterface::class);
        self::assertSame('1 guest', $translator->trans('{count} guests', ['{count}' => 1]));
        self::assertSame('1,800 guests', $translator->trans('{count} guests', ['{count}' => 1800]));
    }

    /** An amount within a line: number, unit and line are all of the second language, and no code was written for it. */
    public function testASecondLanguageNeedsNoCode(): void
    {
        $translator = new Translator('de');
        $translator->addLoader('array', new ArrayLoader());
        $messages = [
            '{n} kg' => '{n, number} kg',
            '{h} h {min} min' => '{h} Std. {min} Min.',
            '{amount} tsp' => '{amount} TL',
            '{need} of it after {time}' => 'nach {time} davon {need}',
        ];
        $translator->addResource('array', $messages, 'de', 'messages+intl-icu');
        $saying = new SayingTranslator($translator);
        $values = ['{need}' => AmountWriter::weight(1250), '{time}' => AmountWriter::duration(135)];
        self::assertSame('nach 2 Std. 15 Min. davon 1,25 kg', $saying->trans('{need} of it after {time}', $values));
        $cardamom = self::getContainer()->get(Larder::class)->get('cardamom');
        self::assertSame('1¼ TL', (new Speaker($saying))->say((new AmountWriter(240, 1))->main($cardamom, 2.6)));
        self::assertSame('', (new Speaker($saying))->say(null));
    }

    /** What goes out of the program is said, too: a word that no catalogue was asked for would stand without the mark. */
    public function testAPlanThatGoesOutIsInTheReadersLanguage(): void
    {
        $translator = new Translator('de');
        $translator->addLoader('array', new ArrayLoader());
        $marked = array_map(static fn (string $m): string => 1 === preg_match('/^[EdMHmy ,:]+$/D', $m) ? $m : '°'.$m, self::catalogue());
        $translator->addResource('array', [...$marked, 'EEEE d MMMM' => 'EEEE, d. MMMM'], 'de', 'messages+intl-icu');
        $speaker = new Speaker(new SayingTranslator($translator));
        [$feast, $kitchen] = [Shipped::feast(), Shipped::kitchen()];
        $plan = (new FeastPlanner(Shipped::larder()))->plan($feast, $kitchen);
        $text = (new PlanText($speaker))->write($feast, $kitchen, $plan);
        self::assertStringContainsString('Samstag, 15. November', $text);
        foreach (\array_slice(explode("\n", $text), 1) as $line) {
            self::assertMatchesRegularExpression('/^$|°|Montag|Dienstag|Mittwoch|Donnerstag|Freitag|Samstag|Sonntag/', $line);
        }
        $calendar = (new PlanCalendar($speaker))->write($feast, $kitchen, $plan, null, 1);
        self::assertStringContainsString('°done: ', $calendar);
        self::assertSame(substr_count($calendar, 'SUMMARY:'), preg_match_all('/SUMMARY:.*°/', $calendar));
    }

    /** @return array<string, string> */
    private static function catalogue(): array
    {
        if ([] !== self::$messages) {
            return self::$messages;
        }
        $messages = Yaml::parseFile(self::ROOT.'/translations/messages+intl-icu.en.yaml');
        self::assertIsArray($messages);
        $catalogue = [];
        foreach ($messages as $id => $message) {
            self::assertIsString($message);
            $catalogue[(string) $id] = $message;
        }

        return self::$messages = $catalogue;
    }
}
