<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Telling;

use FeastLadle\Telling\HealthClaims;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What a text claims for the body is no cooking and is nobody's to vouch for; what is to be done stays. */
final class HealthClaimsTest extends TestCase
{
    /** @return iterable<string, array{string, string, list<string>}> text, what stays, what is set aside */
    public static function texts(): iterable
    {
        yield 'a claim alone' => ['Ginger cures a cold.', '', ['Ginger cures a cold.']];
        yield 'between what is done' => [
            'Add the cardamom, which is good for digestion, and stir.',
            'Add the cardamom, and stir.',
            ['which is good for digestion'],
        ];
        yield 'in brackets' => [
            'Pour in the jaggery (it prevents anaemia) and simmer for 5 minutes.',
            'Pour in the jaggery and simmer for 5 minutes.',
            ['it prevents anaemia'],
        ];
        yield 'several sentences' => [
            'A soft barfi. It boosts immunity and keeps blood sugar low. Eaten cold.',
            'A soft barfi. Eaten cold.',
            ['It boosts immunity and keeps blood sugar low.'],
        ];
        yield 'what is done is kept though no comma parts it' => [
            'Add the ginger which is good for digestion and simmer for 10 minutes.',
            'Add the ginger which is good for digestion and simmer for 10 minutes.',
            ['Add the ginger which is good for digestion and simmer for 10 minutes.'],
        ];
        yield 'a cure for lumps' => ['The remedy for lumps is a sieve.', 'The remedy for lumps is a sieve.', []];
        yield 'nothing claimed' => ['Roast until it smells good, for ten minutes.', 'Roast until it smells good, for ten minutes.', []];
        yield 'good for a feast' => ['This is good for a crowd of forty.', 'This is good for a crowd of forty.', []];
        yield 'a weight of syrup' => ['Cook until the weight is half.', 'Cook until the weight is half.', []];
        yield 'heals is not heats' => ['It heats slowly.', 'It heats slowly.', []];
    }

    /** @param list<string> $claims */
    #[DataProvider('texts')]
    public function testClaimsAreSetAside(string $text, string $stays, array $claims): void
    {
        $apart = HealthClaims::setAside($text);
        self::assertSame($stays, $apart['stays']);
        self::assertSame($claims, $apart['claims']);
    }
}
