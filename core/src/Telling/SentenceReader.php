<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

use FeastLadle\Heat\Flame;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\AttentionKind;
use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\ProcessGuide;
use FeastLadle\Recipe\Target;
use FeastLadle\Recipe\TargetKind;
use FeastLadle\Syrup\Stage;
use FeastLadle\Vessel\VesselKind;

/** Reads a sentence of a written or spoken recipe: what is done, by whose hands, in what, on what fire, how long, until when. */
final readonly class SentenceReader
{
    private const VESSELS = [
        'griddle' => '/\b(?:griddle|tawa)\b/',
        'steamer' => '/\bsteamer\b/',
        'cooker' => '/\bcooker\b/',
        'pan' => '/\b(?:pan|wok|kadai|karahi|kadhai)\b/',
        'pot' => '/\b(?:pot|vessel|patila|cauldron)\b/',
        'tray' => '/\b(?:tray|plate|thali|cloth)\b/',
        'bowl' => '/\bbowl\b/',
    ];

    private const STAGES = [
        'three-strings' => '/\b(?:three|3)[- ](?:string|thread)/',
        'two-strings' => '/\b(?:two|2|double)[- ](?:string|thread)/',
        'one-string' => '/\b(?:one|1|single|half)[- ](?:string|thread)/',
        'hard-crack' => '/\bhard crack\b|\bbreaks like glass\b/',
        'soft-crack' => '/\bsoft crack\b/',
        'hard-ball' => '/\bhard ball\b/',
        'firm-ball' => '/\bfirm ball\b/',
        'soft-ball' => '/\bsoft ball\b/',
        'tacky' => '/\b(?:tacky|sticky)\b/',
        'just-clear' => '/\b(?:just clear|dissolv\w*)\b/',
    ];

    private const SHARES = [
        'half' => 0.5,
        'third' => 1 / 3,
        'quarter' => 0.25,
        'two thirds' => 2 / 3,
        'two-thirds' => 2 / 3,
        'three quarters' => 0.75,
    ];

    public function __construct(private Larder $larder, private float $cupMl)
    {
    }

    public function read(string $sentence): ToldSentence
    {
        $plain = mb_strtolower($sentence);
        [$process, $said] = (new ProcessWords())->find($sentence);
        $guide = ProcessGuide::of($process);
        $supposed = $said ? [] : ['process'];
        $flame = $this->flame($plain, $process, $supposed);
        $vessel = $this->vessel($plain, $guide, $supposed);
        $attention = $this->attention($plain, $guide, $supposed);

        return new ToldSentence(
            trim($sentence),
            $process,
            $attention,
            $vessel,
            $flame,
            (new TimeWords())->find($sentence),
            $this->target($plain, $process, $guide),
            $supposed,
            (new AmountsInText($this->larder, $this->cupMl))->find($sentence),
            1 ===
                preg_match(
                    '/\b(?:meanwhile|separately|on the side|(?:in )?(?:another|a separate|a second|a different) (?:pan|pot|bowl|vessel'
                        .'|stove|burner|flame)|beforehand|the day before)\b/',
                    $plain,
                ),
        );
    }

    /** @param list<string> $supposed */
    private function flame(string $plain, Process $process, array &$supposed): Flame
    {
        $usual = Flame::from(ProcessGuide::of($process)->flame);
        if (
            1 ===
            preg_match(
                '/\b(?:switch(?:ed)?|turn(?:ed)?) (?:it |the (?:gas|flame|stove|heat) )?off\b|\boff the (?:flame|heat|fire|stove)\b'
                    .'|\bflame off\b/',
                $plain,
            )
        ) {
            return Flame::None;
        }
        $said = match (true) {
            Flame::None === $usual && Process::MixIn !== $process => null,
            1 === preg_match('/\b(?:low|slow|gentle|sim|lowest|small)\b(?:[- ](?:to[- ]medium))? ?(?:flame|heat|fire)?\b/', $plain)
                && 1 === preg_match('/\b(?:flame|heat|fire|sim|simmer|slow)\b/', $plain) => Flame::Low,
            1 === preg_match('/\bmedium (?:flame|heat|fire)\b|\bmedium\b.*\bheat\b/', $plain) => Flame::Medium,
            1 === preg_match('/\b(?:high|full|strong|big) (?:flame|heat|fire)\b/', $plain) => Flame::High,
            default => null,
        };
        if (null === $said) {
            $supposed[] = 'flame';
        }

        return $said ?? $usual;
    }

    /** @param list<string> $supposed */
    private function vessel(string $plain, ProcessGuide $guide, array &$supposed): ?VesselKind
    {
        foreach (self::VESSELS as $kind => $pattern) {
            // "the sides of the pan" are where it is already; what the process can't use was not meant.
            if (1 === preg_match($pattern, $plain) && \in_array(VesselKind::from($kind), $guide->vessels, true)) {
                return VesselKind::from($kind);
            }
        }
        $supposed[] = 'vessel';
        if (Process::MixIn === $guide->process) {
            return VesselKind::Bowl;
        }

        return $guide->vessels[0] ?? null;
    }

    /** @param list<string> $supposed */
    private function attention(string $plain, ProcessGuide $guide, array &$supposed): AttentionKind
    {
        $said = match (true) {
            1 ===
                preg_match(
                    '/\b(?:all the time|continuous(?:ly)?|constantly|without (?:stopping|a break|a pause)|keep (?:on )?stirring|never '
                        .'(?:leave|stop)|non-?stop|stirring fast|don.t leave)\b/',
                    $plain,
                ) => AttentionKind::Constant,
            1 ===
                preg_match(
                    '/\b(?:now and then|occasionally|from time to time|once in a while|every (?:few|\d+|two|three|five) minutes?|in '
                        .'between|sometimes)\b/',
                    $plain,
                ) => AttentionKind::Watch,
            1 ===
                preg_match(
                    '/\b(?:leave (?:it|them|the|to)|keep(?:ing)? (?:it |them )?(?:aside|covered)|set (?:it |them )?aside|let (?:it|them'
                        .'|the \w+) (?:rest|sit|stand|cool|soak|be))\b/',
                    $plain,
                ) && AttentionKind::Constant !== $guide->attention => AttentionKind::None,
            default => null,
        };
        if (null === $said) {
            $supposed[] = 'attention';
        }
        $hours = (new TimeWords())->find($plain);
        // What takes hours nobody stands beside, off the fire.
        if (null === $said && null !== $hours && $hours[0] >= 60 && 'none' === $guide->flame) {
            return AttentionKind::None;
        }

        return $said ?? $guide->attention;
    }

    private function target(string $plain, Process $process, ProcessGuide $guide): Target
    {
        if (1 === preg_match('/\b(\d{1,2}|one|two|three|four|five|six) (?:whistles?|releases?)\b/', $plain, $match)) {
            return Target::of(TargetKind::Releases, (new QuantityReader())->read($match[1])[0]->from ?? 3.0);
        }
        if (1 === preg_match('/\b(\d{2,3}) ?(?:°|degrees?)? ?c\b/', $plain, $match)) {
            return Target::of(TargetKind::Celsius, (float) $match[1]);
        }
        if (Process::Syrup === $process) {
            foreach (self::STAGES as $stage => $pattern) {
                if (1 === preg_match($pattern, $plain)) {
                    return Target::stage(Stage::from($stage));
                }
            }

            return Target::stage(Stage::Tacky);
        }
        if (Process::Reduce === $process) {
            return $this->share($plain);
        }

        return match ($process) {
            Process::Boil => Target::of(TargetKind::Celsius, 99),
            Process::Chill => Target::of(TargetKind::Celsius, 8),
            Process::Cool => Target::of(TargetKind::Celsius, 40),
            Process::Set => Target::of(TargetKind::Celsius, 35),
            default => Target::none(),
        };
    }

    private function share(string $plain): Target
    {
        foreach (self::SHARES as $word => $share) {
            if (1 === preg_match('/\bby (?:a |one )?'.$word.'\b/', $plain)) {
                return Target::of(TargetKind::VolumeBy, $share);
            }
        }
        foreach (array_reverse(self::SHARES) as $word => $share) {
            if (1 === preg_match('/\b'.$word.'\b/', $plain)) {
                return Target::of(TargetKind::VolumeTo, $share);
            }
        }

        return Target::of(TargetKind::VolumeTo, 0.6);
    }
}
