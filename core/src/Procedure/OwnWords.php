<?php

declare(strict_types=1);

namespace VividPull\Core\Procedure;

/**
 * What somebody's own words seem to mean. It is shown as what was understood, and everybody may say otherwise: so a
 * word too many does less harm than one too few.
 */
final readonly class OwnWords
{
    /** That something does not do what it should; *hardly* is as bad. */
    private const NOT = '(?:not|never|no longer|hardly|barely|refuses to|fails to)(?: (?:always|quite|really|fully|properly|completely|even|ever|want to|seem to))?';

    /** That a fault is not there: taken out before anything is read. That it should not be is a complaint. */
    private const NO_FAULT = '/(?<!should )(?<!must )(?<!may )\b(?:(?:not|never|no longer)(?: (?:really|quite|even|ever))?|no(?: (?:fluid|oil|sign of|trace of|visible|more))?|nothing|without) (?:stick|stuck|hang|slip|drag|creep|crawl|lurch|jump|jam|snag|catching|bind|leak|drip|weep|rub|grind|crunch|scream|fray|worn|seiz|keep(?! (?:it|us|me|the \w+) (?:on|from|back|still|there|in park))|rac|come loose|pop(?! back)|fall out|fade|roll away|bubbl)\w*/u';

    /** How people say that something comes back, and not at once. */
    private const SLOW_BACK = 'slow(?:ly)? to (?:return|come back|come up|close|shut|drop)|(?:comes?|goes|springs?) (?:back|up|shut|down)(?: too| very)? slow|(?:returns?|returning|closes?|closing|shuts?|shutting|snaps?|drops?|dropping|falls?)(?: back| shut| down)?(?: too| very)? slow|slow(?:ly)? (?:coming|going|returning|closing)|sluggish|lazy';

    private const STUCK = '(?<!adjuster )(?<!nut )(?<!barrel )(?<!bolt )(?<!adjuster is )(?<!nut is )(?<!barrel is )(?:st[iu]ck|seiz)|jam|snag|catch(?:es|ing)|binds|binding';

    /** A spring that brings a control back, and does not; what is since spring is no matter of one. */
    private const SPRING = '(?<!since )(?<!last )(?<!this )(?<!every )(?<!in )(?<!since the )(?<!in the )(?<!conduit )springs?\b[^.]*(?:broke|snapp|off\b|unhook|weak|tired|missing|gone|lost)|(?:broken|weak|tired|missing|no) (?:return )?spring\b';

    /** An end or a wire that does not lie where it belongs holds what it works where it stands. */
    private const UNSEATED = '(?:wire|cable|end|ball|nipple)\b[^.]*(?:out of|off|not in|jumps|beside|half in|half out)[^.]*(?:groove|drum|keyhole|hole|seat|slot)';

    /** A nut and a spanner slip too, and that is no matter of the control. */
    private const SLIPS = '(?<!nut )(?<!spanner )(?<!socket )(?<!key )(?<!tool )(?<!hand )slip';

    private const LINING = '(?:lining|shoe|pad)s?\b[^.]*(?:worn|thin|gone|finished|oily|greas|glaz)|(?:worn|oily|glazed) (?:lining|shoe|pad)';

    private const CREEP = '(?<!no )(?<!without )(?:creep|crawl)';

    /** Something moves; that it does not, is no matter here. */
    private const MOVES = '(?<!not )(?<!never )(?<!no longer )(?<!no )(?:moves?|moved|moving|motion|turns?|turning|goes(?! back| up| home| forward to)|drives?|driving|drove|rides?|rolls?\b(?! it)|rolling|rolled(?! it)|spins?|spinning|drift|inches|rotat|digs?\b|digging|tills?\b|tilling|wanders?|wandering|trundl|walks\b|marches|runs?\b(?! it)|running|pulling|pushes|pushing|full speed)';

    /** The machine goes, and no part of it is turned by hand. */
    private const DRIVES = '(?<!not )(?<!never )(?<!no longer )(?:moves|walks|goes(?! back| up| home)|drives|driving|rides|rolls|rolling|inches|drifts|pulling at|pushes|pushing)';

    /** Nobody holds it. */
    private const LET_GO = '(?:let(?:ting)? go|released?|nobody|hands? off|no hands|foot off|by itself|on its own|\\balone|without (?:the |a )?(?:touch|press|pull|gas|trigger|lever|pedal|anybody|hand)|'
        .'(?:lever|handle|pedal|bail|bar)s? (?:is |are )?(?:up|open|out|back)\\b|before (?:i|you|we|anybody) touch|not (?:press|pull|held|squeez|touch)|(?:in|at) (?:neutral|n|idle)\\b|while idling|when idling)';

    /** The lever that takes the drive out is held. */
    private const HELD = '(?:(?:lever|clutch|handle|pedal|hand)(?: is| held| pulled)?(?: fully| right| all the way| completely)? (?:in\\b|pulled|down|pressed|squeezed|held|on the bar|at the bar)|(?:pull|squeeze|press|hold)(?:ing)? (?:the )?(?:lever|clutch|handle|pedal)|standstill|at the lights)';

    private const GOES_ON = 'keeps? (?:on\b|(?!need|hav|com|slip|stall|break|lock|jump|ask|say)\w+ing\b)|carr(?:y|ies) on|runs? (?:on\b(?! (?:the|a|its|one|petrol|test|idle|choke)\b)|away)|(?:took|takes) off (?:by itself|on its own|with me)|speeds on';

    /**
     * How people say it, a pattern each; a word may go on after it. By symptom.
     *
     * @var array<string, list<string>>
     */
    private const SAID = [
        'slips' => [
            self::SLIPS, 'scream', 'smells? of (?:the )?clutch', 'spinning clutch', 'burnt (?:smell|clutch)',
            'revs[^.]*without', 'no (?:acceleration|go)\b', 'revs? (?:go(?:es)? )?(?:up|rise|climb)', 'spins? up',
            'smells? (?:of )?burn', 'burning',
            '(?:engine|revs)[^.]*(?:but|no)[^.]*(?:faster|speed|drive|pull|accelerat)',
            '(?:lost|loses|losing) drive', '(?:revs?|rev counter|tacho)\w*[^.]*(?:speedo|road speed|not the speed)', self::NOT.' (?:accelerat|pull (?:in|up|away|any))',
            'belt[^.]*(?:squeal|smok|burn)', '(?:los\w+|poor|no) grip', '(?:slow|crawl)[^.]*revs? high', 'revs? high[^.]*(?:slow|crawl)',
            'revs (?:its|the|like)\b[^.]*(?:crawl|slow|nothing|nowhere|hardly|barely)',
            '(?:engine|revs)[^.]*(?:climb|rise|up\b)[^.]*(?:bike|machine|quad|wheel|speed|it)\b[^.]*(?:not|stays|same)\b',
        ],
        'creeps_in' => [
            self::CREEP, 'lurch', '(?<!lever )(?<!cable )drags?', 'jumps? (?:forward|[^.]*(?:in|into) gear)',
            'stalls?[^.]*(?:in gear|lights|i stop|stopping)', 'takes? off (?:before|with)',
            '(?:wants to|still|keeps?) (?:mov|driv|go|pull|roll|push|wants|walk|march|trundl|chug)', 'inches (?:forward|ahead)',
            '(?:moves?|drives?|pulls?|drags?|rolls?|stop)\b[^.]*(?:lever|clutch|handle) (?:is )?(?:fully |right |all the way )?(?:in|pulled)',
            '(?:lever|clutch|handle) (?:is )?(?:in|pulled)[^.]*(?:moves?|drives?|pulls?|jump)',
            'wants (?:forward|off|to)', 'shot forward', 'pulls at the clutch', '(?:dies|died|stalls?)[^.]*(?:into|in) (?:first|gear)',
            '(?:pedal|clutch) [^.]*to the floor[^.]*moves', self::DRIVES.'[^.]*'.self::HELD, self::HELD.'[^.]*'.self::DRIVES,
            '(?:rides?|drives?|goes|takes?) off (?:alone|by itself)',
            self::NOT.' (?:release|lets? go|disengage|free|clear|separat|open|stand|stop|stay still|idle in gear)',
            'under ?way', 'fluid (?:under|below|on|at|around|over)', 'takes? off (?:in gear|in first)',
            '(?:fluid|oil[^.]*(?:slave|master|reservoir)|(?:slave|master|reservoir)[^.]*oil)[^.]*(?:leak|drip|weep|wet|lost|gone|low|missing)',
            'reservoir[^.]*(?:empty|dry)', '(?:leak|drip|weep|lost|loses|losing)[^.]*(?:fluid|slave|master)', 'lever[^.]*sinks',
            '(?:moves|drives|goes|rolls) off (?:by itself|alone|on its own)', self::HELD.'[^.]*wheels?[^.]*still turns?', self::NOT.' hold it[^.]*without the brake',
            'fluid on the floor',
        ],
        'hard_to_shift' => [
            'grind', 'crunch', 'grat', 'clunk', 'clonk', 'reluctant', self::NOT.' get [^.]*(?:out of|into|in) ',
            'gear change[^.]*(?:bang|hard|bad)', 'nois[^.]*(?:into|gear)',
            '(?:gear|box)s?[^.]*(?:clash|crash|notchy)',
            '(?:hard|stiff|difficult|heavy|stamp|kick)[^.]*(?:shift|change|move between|select|into)',
            '(?<!in )neutral',
            self::NOT.' (?:go in(?:to)?|shift|select|(?:move|come|change) (?:out|in|into|down|up|between|gear))\b',
            'gears? (?:stick|jam)', self::NOT.' go (?:past|beyond|further)',
        ],
        'bites_early' => [
            '(?:bite|grab|engage|take|grip|come)(?:s|by)?[^.]*(?:\bearly|as soon as|right away|at the bar|immediately|straight away|leaves the bar|off the bar|(?:near|close to) the (?:bar|grip))',
            '(?:bite|friction) (?:point|zone)[^.]*(?:close|near|at the bar|early)',
            '(?:right |all the way |back )to the (?:bar|grip)[^.]*(?:before|to (?:change|shift|get|find))',
            '(?:second|moment|instant) (?:i|you|we) (?:let|releas|touch|breathe|move|crack)\w*[^.]*(?:lever|clutch)',
        ],
        'bites_late' => [
            '(?:(?:bite|grab|engage|take|grip|come)(?:s|by)?|friction)[^.]*(?:\blate|end\b|far out|(?:nearly|almost|all the way|right) out|way out|last (?:bit|moment))',
            '(?:nearly|almost|all the way|right|way) out (?:before|until|till)',
            '(?:nothing|no drive)[^.]*(?:till|until|before)[^.]*(?:end|last|(?:nearly|almost|right|way) out)\b',
        ],
        'soft' => [
            'soft', 'spong', 'flap', 'dead', 'nothing behind', 'no (?:feel|pressure|resistance|tension)', 'flopp',
            'mush', 'empty', 'limp\b', 'long (?:lever )?travel', 'only (?:a|the) (?:little|return|light) spring', '(?<!arm )pump',
            'too (?:light|easy)', 'nothing (?:is )?connected', 'disconnected', 'lever (?:just )?(?:went|goes|is|hangs|got) (?:suddenly )?(?:loose|slack|limp)', '(?:straight|goes) to the (?:bar|grip)', 'air in', 'bubbl',
        ],
        'heavy' => [
            'gets? hard', 'awful', 'heavy(?! (?:snow|soil|ground|grass|load|clay|work))', 'stiff',
            '(?:hard|tight) to (?:pull(?! (?:it )?back)|draw|press|push|squeeze|turn|twist|use|work)', 'cramps?',
            'can (?:hardly|barely|not) (?:pull|press|squeeze|turn|twist|move) (?:it|the (?:lever|clutch|grip|pedal|trigger|handle|bar|bail))\b',
            '(?:hand|wrist|thumb|finger|arm)s? (?:hurt|ache|tire)', '(?:two|both) hands',
            'lots? of (?:force|strength)', 'forearm', 'arm pump', 'is (?:murder|torture|a killer|a brute)', 'notchy', 'gritty', 'sand\b', 'rough', 'squeak', self::SLOW_BACK,
        ],
        'play_changes' => [
            '(?:play|slack|clutch|it|adjustment|setting)[^.]*(?:chang(?!(?:e|ing) (?:gear|down|up))|differ|vari)',
            '(?:chang|differ|vari)[^.]*(?:play|slack)', 'day to day', 'hot and cold',
            '(?:tight|loose)[^.]*(?:when|if) (?:it is )?(?:hot|cold|warm)', 'never the same', 'yesterday',
            'sometimes (?:tight|loose)', 'one day',
            '(?:more|less|no) (?:free )?(?:slack|play)[^.]*(?:warm|hot|cold|heat)', '(?:closer|nearer|further)[^.]*(?:warm|hot|cold)',
        ],
        'jerky' => [
            'jerk', 'snatch', 'all at once', 'jump', 'lurch', 'buck', 'surge', 'grabs', 'jolt', 'abrupt', 'twitchy',
            'on.?off throttle', 'on.?off on.?off', 'shudder', 'judder', self::NOT.' (?:ride|drive|pull away|take up|run) smooth', 'impossible to (?:ride|drive) smooth',
        ],
        'dead_travel' => [
            'dead', 'no response', 'delay', 'nothing happens', 'does nothing',
            '(?:lots?|too much|a lot) (?:of )?(?:free )?(?:play|slack|slop|travel)', 'too (?:slack|loose)',
            '(?:play|slack)[^.]*too (?:big|much|long)',
            '(?:grip|trigger|pedal|cable) (?:is |has |feels )*(?:slack|slop)', 'slop in',
            '(?:play|slack|long way)[^.]*before',
            '(?:before|until) (?:the engine|it|anything|something)[^.]*(?:answer|react|respond|happen|move|pick|does)',
            'half ?way before', 'before (?:it|anything|something) (?:moves|happens|does)',
            '(?:has|have) to (?:pull|push|turn|twist|press|squeeze)[^.]*before', '(?:press|push|pull|squeeze|twist)[^.]*(?:right|all the way) to the stop',
            'half (?:of )?(?:the|its) (?:pedal|travel|grip|trigger|lever|handle)[^.]*nothing', 'nothing (?:and )?then',
            '(?:handle|lever|grip|pedal|trigger)[^.]*(?:before|until|till) it (?:bites|grips|drives|takes|goes|pulls)',
        ],
        'low_top_speed' => [
            '(?<!not )(?<!back )(?<!up )(?<!shut )(?<!shuts )slow(?! to |ly to | down)', 'top speed', 'tops? out',
            'no speed', self::NOT.' (?:go (?:over|above|past|more)|(?:go )?fast)', 'only \d+ ?(?:km|mph)', 'slower',
            'top end', 'walking pace', 'snail', 'tortoise', 'only (?:do|makes?|manage|get|reach|hit)\w* \d', 'crawls', 'gutless', 'lost[^.]*speed', 'speed is (?:down|low)',
            'used to (?:go|be) fast',
        ],
        'too_fast' => [
            '(?<!idle )(?<!idles )(?<!idling )(?<!not )too fast', '(?:faster|quicker) than (?:it|the|its|before|allowed|last|usual|ever)',
            'over.?speed', 'over.?rev', 'above (?:its|the) (?:governed |speed )?limit', 'way too quick', 'dangerously fast',
            'governor[^.]*(?:does nothing|'.self::NOT.' work|gone|tied|removed|off|disabled|broken)', 'no governor', '(?:tied|wired|strapped|bent)[^.]*governor',
            self::NOT.' (?:limited|governed)', 'frighten', 'scar(?:y|es|ed|ing)\b', 'overtak', 'outruns?',
            '(?:does|doing|reach\w*|goes|makes|hits|clocked) \d+[^.]*(?:now|instead)\b', '\d+ ?(?:mph|km)[^.]*(?:now|instead)\b',
        ],
        'not_wide_open' => [
            'full throttle', self::NOT.' (?:open|(?:wide|fully|all the way) open)', 'half throttle',
            'three.?quarters?', '3\/4', self::NOT.' (?:rev|get[^.]*(?:open|full)|give full|reach (?:full|the top))',
            'no full (?:rev|gas|power|throttle)', self::NOT.' go all the way (?:up|open|round|to)', self::NOT.' (?:pull|go|rev) (?:past|over|beyond|above)', 'weak (?:on top|at the top)', 'half the power', 'bogs?', '(?:down on|no|lacks?|half) power',
            'full (?:power|gas)',
        ],
        'stays_open' => [
            self::STUCK, self::GOES_ON, self::SLOW_BACK, 'hangs?', 'hung (?:open|up|on)',
            '(?:needs?|has) [^.]*(?:a|by) hand[^.]*(?:close|shut)', 'by hand to (?:close|shut)',
            '(?:has|have|had|needs?) to (?:be )?(?:(?:roll|turn|twist|push|pull)\w*(?: it| the \w+)? (?:shut|closed|back|to)\b|clos|shut)[^.]*by hand',
            '(?:stays?|remains?) (?:open|on\b|where|at (?:full|half|high|speed)|full)',
            '(?:throttle|grip|trigger|pedal|gas|accelerator) (?:\w+ )?(?:stays?|hangs?)\b(?! (?:the|as|within|in (?:adjust|place)))',
            '(?:throttle|grip|trigger|pedal|gas|accelerator)[^.]*half ?way',
            'revs?\b[^.]*(?:(?:stays?|remains?) (?:up|high)|slow(?:ly)? to (?:drop|fall|come|go)|(?:drop|fall|com|go)(?:s|ing|es)?(?: down)? slow)',
            'slow(?:ly)?[^.]*off the (?:gas|throttle)', '(?:closes?|shuts?|drops?) (?:too |very )?late',
            'keeps? (?:its|the) (?:revs|speed)', 'keeps? racing', 'races\b(?![^.]*(?:turn|steer|bars?))', 'runaway',
            'throttle return[^.]*slow', 'full speed without', self::UNSEATED, 'screams? (?:when|after|with)[^.]*'.self::LET_GO, 'screams?[^.]*(?:set|put|lay|laid) (?:it )?down',
            self::NOT.' (?:snap|clos|shut|slow|stop|idle|(?:go|come|spring|spin|roll|turn|pop|jump|flip) (?:all the way |right |fully )?(?:back|out|down)\b|return|drop|settle|(?:go|come|fall) down)',
            'accelerates? (?:by itself|on its own)', 'high (?:idle|tick)',
            'tick.?over[^.]*(?:high|fast|'.self::NOT.')', 'engine rac(?:es|ing)(?![^.]*(?:turn|steer|bars?))',
            'revs? (?:by itself|on its own)', 'idles? (?:is |too )*(?:high|fast)',
            'not fall', self::NOT.' rev down', 'stays turned',
            self::NOT.' (?:go off|turn back|lift)', 'seconds to (?:calm|settle|drop|come)', 'speeds? up (?:by itself|alone|on its own)',
            '(?:rolls?|goes|runs?) on\b(?! (?:the|a|its|one|petrol|test)\b)', 'still (?:at|on) (?:full|high)',
        ],
        'idle_rises' => [
            '(?:bars?|steering)\b[^.]*pulls?', '(?:idle|tick.?over)[^.]*(?:jump|rise|climb|up|chang|goes)',
            'tight[^.]*(?:steer|bars?\b|full lock|turn(?:ed|ing)? (?:left|right|the wheel))',
            '(?:steer|turn(?:ed|ing)? (?:left|right))[^.]*tight',
            '(?:(?:rev|race)s?|picks? up|speeds? up|engine speed)[^.]*(?:turn|steer|bars?|handlebar)',
            '(?:steer|turn)[^.]*(?:rev|idle|race|speeds? up)',
            'full lock[^.]*(?:rev|race)', '\block\b[^.]*(?:picks? up|speeds up|revs)', 'surges?[^.]*(?:turn|steer)',
            '(?:goes|gets|runs) faster[^.]*(?:steer|turn (?:left|right|the (?:bars|wheel)))',
            'accelerat[^.]*(?:turns?|bends?|corners?|steering)\b', 'revs?\b[^.]*(?:roundabout|corner|bend|hairpin)',
        ],
        'creeps_out' => [
            self::CREEP, self::MOVES.'[^.]*'.self::LET_GO, self::LET_GO.'[^.]*'.self::MOVES.'(?![^.]*by hand)',
            self::MOVES.' (?:off |on )?(?:by itself|on its own|at idle|when|without)',
            self::MOVES.'[^.]*(?:without (?:the|touching|anybody)|hands? off)', '(?<!back )by itself',
            '(?:jumps?|leaps?) (?:ahead|forward|off)', '(?:takes?|took|goes|sets?|drives|moves) off[^.]*(?:start|engine)', 'engages?[^.]*(?:idle|tick.?over)',
            'walk\w*[^.]*'.self::LET_GO, 'engaged all the time',
            'always (?:on\b|engaged|turning|driving)', 'let go[^.]*'.self::MOVES,
            self::MOVES.'[^.]*(?:with[^.]*|after|once) (?:let go|released)', 'walks? (?:off|away)',
            '(?:drive|auger|head|belt|blade|wheels?|tracks?|chain|line)[^.]*stays? on', 'idling[^.]*'.self::MOVES,
            self::MOVES.'[^.]*idling', 'goes on (?:turning|moving|going|spinning|running|working)', self::MOVES.'[^.]*in n(?:eutral)?\b',
            'handle is up', self::GOES_ON,
            self::NOT.' (?:stop|let go|stand|stay still|cut out|come to rest|disengage)',
            'wants to (?:drive|move|go)',
            '(?<!not )(?<!never )(?<!no longer )(?<!no )(?:mov|turn|driv|roll|spin|go)\w*[^.]*at idle', 'rolls? on',
            '(?<!cable )(?<!wire )(?<!trigger )(?<!lever )(?<!handle )(?<!brake )(?<!brakes )drags?\b',
            '(?:mov|pull|digg)\w*[^.]*(?:after|when|once) (?:i|we|you) (?:let go|release)', self::NOT.' be (?:switched|turned) off',
            self::NOT.' stay put', '(?:drive|auger|belt|it) (?:is|stays) always (?:in|on)\b', 'neutral[^.]*(?:drives|moves|turns|pulls|pushes|creeps)', 'engages?[^.]*(?:although|even though|while)[^.]*(?:back|up|off|released|out)\b', 'in the neutral position',
            '(?:moves|drives|goes)[^.]*as soon as[^.]*(?:engine|start)',
            '(?:turns?|turning|rotat\w*|runs?|running|spins?|spinning|moves?) all the time', 'let go[^.]*still (?:bites?|grips?|drives?|turns?)',
        ],
        'weak' => [
            'weak', 'slow(?! to |ly to )', 'no (?:drive|faster)', '(?:just |only )?(?:sits|stands) there', 'stalls? in', 'bogs?\b', 'same speed', 'whatever (?:gear |speed )?i (?:pick|choose|select)', 'throws?[^.]*(?:foot|feet|metre|meter|yard)', '(?:lost|lacks?|poor) drive', 'hardly', 'barely',
            'no pull', 'struggl', 'stops? in', '(?:have|has) to push', 'stopped working',
            'no (?:self.?propulsion|traction)', 'needs? (?:a )?(?:push|shove)', 'no (?:quicker|faster)', 'slipping', 'badly',
            self::NOT.' (?:pull|drive|propel|move(?! (?:out|into|between))|climb|throw|go)',
        ],
        'hard_to_pull_back' => [
            'backward', 'pull (?:it )?back', self::NOT.' roll back', 'wheels lock',
        ],
        'wrong_direction' => [
            'wrong (?:way|direction)', '(?:forward|back)[^.]*in (?:reverse|forward)',
            '(?:reverse|r ?1|back)(?! and forward)[^.]*forward', 'in r\b[^.]*(?:forward|ahead)',
            'backwards? in (?:first|second|third|fourth|forward|f ?\d)', '(?:forward|f ?1)[^.]*back', '(?:first|second|third|fourth)(?: gear)? (?:goes|drives|moves|is) back',
            'reverse[^.]*(?:ahead|into)', '(?:f ?[1-6]|first|forward)\b[^.]*(?:at|towards?|over) me', 'in (?:f ?)?[1-6]\b[^.]*\bback', '(?:mixed up|swapped|the wrong way round)',
        ],
        'starts_sometimes' => [
            'start[^.]*(?:sometimes|now and then|bad|not always|every|only|third|second|fifth|tenth|most|tries)',
            self::NOT.' (?:start|fire)', 'hard to start', '(?:or|unless|else|until)[^.]*(?:cuts|goes|dies) ?(?:out|off|dead)', 'no spark', 'many pulls', 'only (?:starts|fires|runs) (?:when|if|with)',
            'pull[^.]*\b(?:five|six|ten|many|several|\d+) times', 'sometimes[^.]*start', 'no start', 'some days', 'one day in',
            '(?:dies|cuts out|stops) (?:as soon as|when|if|the moment)[^.]*(?:bar|bail|lever|handle)',
        ],
        'rope_hard' => [
            'rope', 'cord', '(?:pull|recoil) start',
        ],
        'runs_on' => [
            self::GOES_ON, '(?:goes|turns?|spins?) on', 'blade[^.]*(?:spin|run|go(?:es|ing)\b)',
            'blade[^.]*(?:turned|spun|ran|stopped)[^.]*\b(?:[4-9]|\d\d) ?s(?:ec\w*)?\b[^.]*(?:after|release|let go)', 'slow to stop',
            self::NOT.' (?:stop|switch|turn it|shut|die|cut)', 'stops? (?:too )?late',
            '(?:goes|turns?|spins?|runs?|keeps?|ages|seconds)\b[^.]*after letting go',
            '(?:long|ages|forever) to (?:stop|die)', 'only (?:works|stops)[^.]*sometimes',
            'blade brake[^.]*(?:weak|bad)',
            '(?:dead.?man|safety|bail|bar|lever)[^.]*(?:does nothing|'.self::NOT.' work)',
            'coasts?\b[^.]*(?:ages|long|ever|too)',
            '(?:blade|engine|it) (?:takes?|took) [^.]*(?:four|five|six|seven|eight|nine|ten|twelve|fifteen|twenty|[4-9]|\d\d) ?s',
            'takes? (?:about |over |more than |nearly )?(?:four|five|six|seven|eight|nine|ten|[4-9]|\d\d) ?s[^.]*(?:stop|still)',
            self::LINING, self::SLOW_BACK,
            self::NOT.' be (?:stopped|switched|turned)', '(?:pull|plug|lead|fuel)[^.]*to stop it', 'brake on the blade[^.]*(?:worn|weak|gone)',
            'still running', 'stays on\b', 'stop(?:ping)? takes (?:too )?long',
        ],
        'bangs_on_unlocking' => [
            'bang', 'clunk', 'clonk', 'loud knock', 'crack\b',
        ],
        'dash_disagrees' => [
            'dash', '(?:says|shows)[^.]*but', 'lamp', 'light[^.]*(?:wrong|on)', 'display',
        ],
        'no_spring_back' => [
            self::NOT.' (?:spring|snap|pop|return|(?:come|go|move|swing|flip)(?: \w+){0,3} (?:back|up)\b)',
            '(?:falls?|flops?) (?:forward|down)',
            'stays? (?:forward|against|in\b(?! (?:place|adjust|spec|line|tune|the (?:band|middle)|its|park|gear))|down|back|pulled|pressed|squeezed|half|there|where it is)',
            'hangs? (?:down|there)',
            '(?:have|has|need|needs) to (?:push|pull|flip|lift|twist|turn)[^.]*\b(?:back|up|shut|closed)\b',
            self::SPRING, self::STUCK,
            'spring[^.]*out of (?:its|the) (?:hook|hole|eye)', 'stays turned',
            self::NOT.' (?:lift|(?:turn|spin) back)',
        ],
        'end_of_thread' => [
            'end of (?:the |its )?thread', 'no (?:more |further )?thread', 'used up', 'stripped',
            '(?<!lever )(?<!lever is )(?<!nearly )(?<!lever is nearly )(?<!almost )all the way out',
            '(?:screwed|wound|turned) (?:right|fully) out', 'no (?:more )?adjust(?:ment|ing) left', 'run(?:s)? out',
            'nothing left to', self::NOT.' (?:go|come|turn|screw|wind) (?:in|out|round)?(?: any)? (?:further|more)',
        ],
        'wobbles' => [
            'wobbl', 'wiggl', 'loose (?:barrel|adjuster)', '(?:barrel|adjuster|knurled)[^.]*(?:\bis|hangs|sits|feels|works|got|very|quite) loose\b', '(?:barrel|adjuster)[^.]*slopp', 'rattl',
        ],
        'again_and_again' => [
            'again', '(?:second|third|fourth|fifth) time', 'every (?:week|weekend|day|month|few)', 'all the time',
            'keeps? (?:on )?(?:needing|having to|coming|going out)', 'over and over', 'keep having to',
            'always (?:adjust|setting)', 'constantly', 'out of (?:adjustment|tune|spec)[^.]*(?:every|each)',
        ],
        'does_not_hold' => [
            self::NOT.' (?:hold|stop|slow|brake|lock|bite|catch)', '(?:foot|feet) to stop', 'no (?:brakes?|bite)',
            '(?:comes?|bites?) (?:on |in )?(?:too )?late',
            'brakes?[^.]*(?:weak|bad|soft|poor|nothing|'.self::NOT.' work)', 'weak brake',
            'roll(?:s|ed)? (?:away|off|down|back|into|in park)', '(?:rolls?|goes|carries|keeps) (?:right |straight )?on\b', '(?:pull|press|squeez)\w* (?:it|the \w+) does nothing', '\bpark\b[^.]*rolls?', 'lets? (?:the |a |my )?\w+ (?:down|drop|fall|slide)', 'comes? up (?:a mile|too far|a long way)', '(?:to|on) the (?:bar|grip)', 'to the floor',
            '(?:ages|long|far|forever) to stop', '(?:stopping|braking) distance',
            '(?:park\w*(?: lock| brake)?|latch|pin|hook) lets go', '(?:rolled|moved|moves) by itself', 'no braking',
            '(?:poor|bad|weak) brak', 'lever[^.]*long way', self::SLIPS, 'fades?', 'useless',
            '(?:pulls?|goes|comes) all the way(?! out)',
            '(?:(?:jumps?|pops?|slips?|comes?|falls?) (?:out|open|loose|undone|off)|came (?:open|undone|loose))',
            '(?:opens?|tips?)[^.]*(?:by itself|while driving|when driving|on the road|under way)', 'no good', self::NOT.' keep',
            '(?:have|has|need|needs) to pump', 'only one (?:rear )?wheel', 'park\b[^.]*(?:grat|grind)',
            'past (?:square|centre|center)', 'over.?cent(?:re|er)', self::LINING,
            self::NOT.' stay in (?:park|gear|low|high)', '(?:brake|lock|latch)s?[^.]*(?:failed|fails|lost)', 'touches the (?:bar|grip)',
            'lets [^.]*roll', '(?:pull|squeeze) the lever all the way', 'dropped (?:open|down|while)',
            '(?:park|lock|latch)[^.]*'.self::NOT.' (?:engage|close|shut|(?:come|go|drop) in)', 'only on one side', 'pulls? (?:right|straight) through', '(?:no use|of no use)',
            'springs open',
        ],
        'drags' => [
            'drag', 'rub', 'smells? (?:hot|burn)',
            '(?:wheel|drum|brake|hub)s? (?:is|are|gets?|runs?) (?:very |too )?hot(?! (?:as|no))', 'red.?hot', 'glow', 'smok',
            'gets? (?:very )?hot', 'hot (?:drum|wheel|brake)', 'binds?', 'squeal', 'brakes? (?:\w+ )?stays? on',
            'brakes? (?:is |are )?blocked', 'locks? (?:on|up)\b', 'brakes by itself', self::NOT.' (?:release|let go|free|come off|turn free|spin free|roll free)',
        ],
    ];

    private function __construct() {}

    /**
     * @param  list<Symptom>  $symptoms  those of a family
     * @return list<Symptom> in the family's order
     */
    public static function understood(string $words, array $symptoms): array
    {
        $said = PlainWords::of($words);
        $plain = (string) preg_replace(self::NO_FAULT, ' ', $said);

        return array_values(array_filter(
            $symptoms,
            static fn (Symptom $one): bool => str_contains($said, mb_strtolower($one->words()))
                || preg_match('/\b(?:'.implode('|', self::SAID[$one->value]).')/u', $plain) === 1,
        ));
    }

    /**
     * What they may mean where nothing is understood: a question for whoever said it, and no answer.
     *
     * @param  list<Symptom>  $symptoms  those of a family
     * @return list<Symptom> two at most, the likelier first
     */
    public static function perhaps(string $words, array $symptoms): array
    {
        if (trim($words) === '' || self::understood($words, $symptoms) !== []) {
            return [];
        }

        $learned = WordsAlike::learned(array_merge(...array_values(Sayings::ALL)));

        return array_slice($learned->likely($words, $symptoms), 0, 2);
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
}
