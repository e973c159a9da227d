<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

/** A word, a number or a sign of a text, and where it stands. */
final readonly class Token
{
    /**
     * @param string $word  in small letters, with a plain apostrophe
     * @param int    $start byte offset in the text
     * @param int    $end   byte offset behind it
     * @param bool   $glued whether nothing stands between it and the token before
     */
    public function __construct(public string $word, public int $start, public int $end, public TokenKind $kind, public bool $glued)
    {
    }

    public function isWord(): bool
    {
        return TokenKind::Word === $this->kind;
    }

    public function is(string ...$words): bool
    {
        return \in_array($this->word, $words, true);
    }
}
