<?php

declare(strict_types=1);

namespace VividPull\Core\Procedure;

/**
 * What somebody's own words seem to mean. It is shown as what was understood, and everybody may say otherwise: so a
 * word too many does less harm than one too few.
 */
final readonly class OwnWords
{
    private const NOT = '(?:not|n.?t|never|cannot|no longer)';

    /** How people say that something comes back, and not at once. */
    private const SLOW_BACK = 'slow(?:ly)? to (?:return|come back|come up|close|shut|drop)|(?:comes?|goes|springs?) (?:back|up|shut|down)(?: too| very)? slow|(?:returns?|closes?|shuts?|snaps?|drops?)(?: back| shut| down)?(?: too| very)? slow|sluggish|lazy';

    private const STUCK = '(?<!adjuster )(?<!nut )(?<!barrel )(?<!bolt )(?<!adjuster is )(?<!nut is )(?<!barrel is )(?:st[iu]ck|seiz)|jam|snag|catch(?:es|ing)|binds|binding';

    /** A spring that brings a control back, and does not; what is since spring is no matter of one. */
    private const SPRING = '(?<!since )(?<!last )(?<!this )(?<!every )(?<!in )(?<!since the )(?<!in the )(?<!conduit )springs?\b[^.]*(?:broke|snapp|off\b|unhook|weak|tired|missing|gone|lost)|(?:broken|weak|tired|missing|no) (?:return )?spring\b';

    /** An end or a wire that does not lie where it belongs holds what it works where it stands. */
    private const UNSEATED = '(?:wire|cable|end|ball|nipple)\b[^.]*(?:out of|off|not in|jumped|beside|half in|half out)[^.]*(?:groove|drum|keyhole|hole|seat|slot)';

    private const LINING = '(?:lining|shoe|pad)s?\b[^.]*(?:worn|thin|gone|oily|greas|glaz)|(?:worn|oily|glazed) (?:lining|shoe|pad)';

    /** That it does not creep is good; that it should not is a complaint. */
    private const CREEP = '(?<!no )(?<!(?<!should )not )(?<!(?<!should)n[\'’]t )(?<!never )creep';

    private const GOES_ON = 'keeps? (?:rev|going|driv|runn|pull|mov|turn|spin|roll|on\b)|runs? (?:on|away)|(?:took|takes) off by itself';

    private function __construct() {}

    /**
     * @param  list<Symptom>  $symptoms  those of a family
     * @return list<Symptom> in the family's order
     */
    public static function understood(string $words, array $symptoms): array
    {
        $plain = (string) preg_replace('/\s+/', ' ', mb_strtolower($words));

        return array_values(array_filter(
            $symptoms,
            static fn (Symptom $one): bool => str_contains($plain, mb_strtolower($one->words()))
                || preg_match('/\b(?:'.self::like($one).')/u', $plain) === 1,
        ));
    }

    /**
     * What they seem to mean by which nobody runs the machine until its cause is found.
     *
     * @param  list<Symptom>  $stopping  those of the control by which nobody runs it
     * @return list<string> in words: symptoms in the family's order, and a wire that may part, which is a matter of
     *     danger on every control
     */
    public static function stopping(string $words, array $stopping): array
    {
        $symptoms = array_map(
            static fn (Symptom $one): string => $one->words(),
            self::understood($words, $stopping),
        );

        return WireDamage::isSaid($words)
            ? [...$symptoms, WireDamage::SAID_SO]
            : $symptoms;
    }

    /** How people say it, as a pattern; a word may go on after each. */
    private static function like(Symptom $symptom): string
    {
        return match ($symptom) {
            Symptom::Slips, Symptom::CreepsIn, Symptom::HardToShift, Symptom::BitesEarly, Symptom::BitesLate,
            Symptom::Soft, Symptom::Heavy => self::ofALever($symptom),
            Symptom::Jerky, Symptom::DeadTravel, Symptom::LowTopSpeed, Symptom::NotWideOpen, Symptom::StaysOpen,
            Symptom::IdleRises => self::ofAThrottle($symptom),
            Symptom::CreepsOut, Symptom::Weak, Symptom::HardToPullBack, Symptom::WrongDirection, Symptom::DoesNotHold,
            Symptom::Drags, Symptom::BangsOnUnlocking, Symptom::DashDisagrees => self::ofADrive($symptom),
            Symptom::StartsSometimes, Symptom::RopeHard, Symptom::RunsOn, Symptom::PlayChanges, Symptom::NoSpringBack,
            Symptom::EndOfThread, Symptom::Wobbles, Symptom::AgainAndAgain => self::ofACable($symptom),
        };
    }

    private static function ofALever(Symptom $symptom): string
    {
        $takes = '(?:bite|grab|engage|take|grip|come)s?';

        return match ($symptom) {
            Symptom::Slips => 'slip|scream|revs? (?:go(?:es)? )?(?:up|rise)|spins? up|smells? (?:of )?burn|burning|(?:engine|revs)[^.]*(?:but|no)[^.]*(?:faster|drive|pull)',
            Symptom::CreepsIn => self::CREEP.'|lurch|(?<!lever )(?<!cable )drags?|jumps? (?:forward|[^.]*(?:in|into) gear)|stalls?[^.]*(?:in gear|lights)|(?:wants to|still) (?:move|drive|go|pull)|(?:moves?|drives?|pulls?|drags?|rolls?|stop)[^.]*(?:lever|clutch|handle) (?:is )?(?:in|pulled)'
                .'|(?:lever|clutch|handle) (?:is )?(?:in|pulled)[^.]*(?:moves?|drives?|pulls?|jump)|'.self::NOT
                    .' (?:let go|release|disengage|free|stand|stop)|fluid[^.]*(?:leak|drip|wet|lost|gone|low)|(?:leak|drip|lost)[^.]*fluid|lever[^.]*sinks',
            Symptom::HardToShift => 'grind|crunch|grat|(?:hard|stiff|difficult|heavy)[^.]*(?:shift|change|move between|select|into)|neutral|'
                .self::NOT.' go in(?:to)?|gears? (?:stick|jam)',
            Symptom::BitesEarly => "{$takes}[^.]*(?:early|as soon as|right away|at the bar|immediately|straight away|leaves the bar)",
            Symptom::BitesLate => "{$takes}[^.]*(?:late|end|far out|last (?:bit|moment))",
            Symptom::Soft => 'soft|spong|nothing behind|no feel|flopp|mush|only (?:a|the) (?:little|return|light) spring|pump|too (?:light|easy)',
            default => 'heavy(?! (?:snow|soil|ground|grass|load|clay|work))|stiff|hard to (?:pull(?! (?:it )?back)|draw|press|push|squeeze|turn)|hand hurts|two hands|lot of force|'
                .self::SLOW_BACK,
        };
    }

    private static function ofAThrottle(Symptom $symptom): string
    {
        return match ($symptom) {
            Symptom::Jerky => 'jerk|snatch|all at once|jump|lurch|buck|surge|grabs',
            Symptom::DeadTravel => 'dead|nothing happens|(?:lots?|too much|a lot) of (?:free )?(?:play|slack|travel)|too (?:slack|loose)|half ?way before|before (?:it|anything|something) (?:moves|happens|does)|(?:has|have) to (?:pull|push|turn)[^.]*before',
            Symptom::LowTopSpeed => '(?<!back )(?<!up )(?<!shut )(?<!shuts )slow(?! to |ly to | down)|top speed|tops? out|no speed|'.self::NOT
                .' go fast|gutless|speed is (?:down|low)|used to (?:go|be) fast',
            Symptom::NotWideOpen => 'full throttle|'.self::NOT
                .' (?:open|(?:wide|fully|all the way) open)|half throttle|'.self::NOT.' rev|bogs?|'.self::NOT
                .' reach full|full (?:power|gas)',
            Symptom::StaysOpen => self::STUCK.'|'.self::GOES_ON.'|'.self::SLOW_BACK.'|hangs?|stays? (?:open|on|where|at|full)|(?:throttle|grip|trigger|pedal|gas|accelerator)[^.]*(?:stay|hang|half ?way)|'
                .self::UNSEATED.'|'.self::NOT.' (?:snap|close|shut|slow down|stop|(?:go|come) back|return)|engine rac(?:es|ing)(?![^.]*(?:turn|steer|bars?))|revs? by itself|idles? (?:is |too )*(?:high|fast)',
            default => 'idle[^.]*(?:rise|climb|up|chang|goes)|tight[^.]*(?:steer|bars?\b|full lock|turn(?:ed|ing)? (?:left|right|the wheel))|(?:steer|turn(?:ed|ing)? (?:left|right))[^.]*tight|(?:rev|race)s?[^.]*(?:turn|steer|bars?|handlebar)|(?:steer|turn)[^.]*(?:rev|idle|race)',
        };
    }

    private static function ofADrive(Symptom $symptom): string
    {
        $goes = '(?:moves?|turns?|goes|drives?|rolls?|spins?)';

        return match ($symptom) {
            Symptom::CreepsOut => self::CREEP."|{$goes} (?:off |on )?(?:by itself|on its own|at idle|when)|(?<!back )by itself|let go[^.]*{$goes}|{$goes}[^.]*(?:with[^.]*|after|once) let go|goes on (?:turning|moving|going)|{$goes}[^.]*in n(?:eutral)?\b|handle is up|"
                .self::GOES_ON.'|'.self::NOT.' (?:stop|let go)|wants to (?:drive|move|go)|(?<!creep )at idle|rolls? on|(?<!cable )(?<!wire )(?<!trigger )(?<!lever )(?<!handle )(?<!brake )(?<!brakes )drags?\b',
            Symptom::Weak => 'weak|slow(?! to |ly to )|no drive|hardly|no pull|struggl|stops? in|'.self::NOT
                .' (?:pull|drive|propel|move|climb|throw)',
            Symptom::HardToPullBack => 'backward|pull (?:it )?back|'.self::NOT.' roll back|wheels lock',
            Symptom::WrongDirection => 'wrong (?:way|direction)|(?:forward|back)[^.]*in (?:reverse|forward)|(?:reverse|r ?1|back)[^.]*forward|(?:forward|f ?1)[^.]*back',
            Symptom::DoesNotHold => self::NOT
                .' (?:hold|stop|brake|lock)|no brakes?|brakes?[^.]*(?:weak|bad|soft|poor|nothing)|weak brake|rolls? (?:away|in park)|(?:to|on) the bar|slips?|fades?|useless|(?:pulls?|goes|comes) all the way(?! out)|(?:jumps?|pops?|slips?|comes?|falls?) (?:out|open|loose|undone|off)|(?:opens?|tips?)[^.]*by itself|only one (?:rear )?wheel|park\b[^.]*(?:grat|grind)|past (?:square|centre|center)|over.?cent(?:re|er)|'.self::LINING,
            Symptom::Drags => 'drag|rub|gets? (?:very )?hot|hot (?:drum|wheel|brake)|binds?',
            Symptom::BangsOnUnlocking => 'bang|clunk|loud knock',
            default => 'dash|lamp|light[^.]*(?:wrong|on)|display',
        };
    }

    private static function ofACable(Symptom $symptom): string
    {
        return match ($symptom) {
            Symptom::StartsSometimes => 'start[^.]*(?:sometimes|now and then|bad|not always|every|only|third|second|most|tries)|'
                .self::NOT.' start|hard to start|sometimes[^.]*start|no start',
            Symptom::RopeHard => 'rope|cord',
            Symptom::RunsOn => self::GOES_ON.'|(?:goes|turns?|spins?) on|blade[^.]*(?:spin|run|stop|go)|'
                .self::NOT.' (?:stop|switch|turn it|shut)|stops? (?:too )?late|after letting go|(?:long|ages) to stop|'
                    .self::LINING.'|'.self::SLOW_BACK,
            Symptom::PlayChanges => '(?:play|slack|clutch|it|adjustment|setting)[^.]*(?:chang|differ|vari)|(?:chang|differ|vari)[^.]*(?:play|slack)|day to day|hot and cold|sometimes (?:tight|loose)|one day',
            Symptom::NoSpringBack => self::NOT
                .' (?:spring|come|snap|go|return) ?(?:back)?|(?:falls?|flops?) (?:forward|down)|stays?\b(?! (?:open|on|at|full))|hangs? down|'
                    .self::SPRING.'|'.self::STUCK,
            Symptom::EndOfThread => 'end of (?:the |its )?thread|no thread|used up|all the way out|run(?:s)? out|nothing left to',
            Symptom::Wobbles => 'wobbl|wiggl|loose (?:barrel|adjuster)|rattl',
            default => 'again|every (?:week|weekend|day|month|few)|keeps? (?:needing|coming|going out)|over and over|always (?:adjust|setting)|constantly',
        };
    }
}
