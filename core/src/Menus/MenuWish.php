<?php

declare(strict_types=1);

namespace FeastLadle\Menus;

/** What a menu should be like. */
final readonly class MenuWish
{
    /**
     * @param int      $sweets          on the whole menu, those that stand on it already among them
     * @param int|null $hot             served hot or warm, exactly; null: any
     * @param int|null $mostHandMinutes of work by hand, all people together; null: as many as there are
     * @param bool     $forEverybody    nothing that some of the guests do without
     */
    public function __construct(
        public int $sweets,
        public ?int $hot = null,
        public ?int $mostHandMinutes = null,
        public bool $forEverybody = true,
    ) {
    }
}
