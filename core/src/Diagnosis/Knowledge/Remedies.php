<?php

declare(strict_types=1);

namespace VividPull\Core\Diagnosis\Knowledge;

use VividPull\Core\Diagnosis\Cause;
use VividPull\Core\Diagnosis\Remedy;
use VividPull\Core\Spec\FamilyKey;

/**
 * How each cause that is no setting is put right. Common practice, no source: the machine's own manual wins. A setting
 * has no steps here: its job plans the moves.
 */
final readonly class Remedies
{
    private const PULL_AND_READ = 'Pull the control fully a few times, then read its play again.';

    private const OFF = 'Engine off, key out or spark lead off.';

    private const SPRING = 'A spring under load hurts eyes and fingers.';

    private function __construct() {}

    public static function of(FamilyKey $family, Cause $cause): ?Remedy
    {
        return $cause->wants !== null || $cause->key === Cause::OTHER ? null
            : self::ofItsOwn($family, $cause->key)
                ?? self::ofTheCable($cause->key)
                ?? self::ofTheLever($cause->key)
                ?? self::ofTheClutch($cause->key)
                ?? self::ofTheThrottle($cause->key)
                ?? self::ofTheDrive($cause->key) ?? self::ofTheBail($cause->key) ?? self::ofArmsAndBrakes($cause->key);
    }

    /** Where a family does it in a way of its own. */
    private static function ofItsOwn(FamilyKey $family, string $cause): ?Remedy
    {
        return match ([$family, $cause]) {
            [FamilyKey::Bail, 'bad_route'] => Remedy::of('Press the bail in and pop it out of its hole: that frees the cable.', 'Lay the cable along the underside of the folding handle, with gentle bends.',
                'New ties low down and near the end. Branches catch what hangs free.', 'Fold the handle and unfold it: nothing may trap the cable.', 'Close and let go of the bail: contact and brake follow all the way.')
                ->with('ties, side cutters')->saying(self::OFF.' Hands clear of the blade.'),
            [FamilyKey::Bail, 'broken_spring'] => Remedy::of('Bail out of its hole, so that nothing pulls.', 'Unhook what is left of the spring and compare it with the new one.',
                'Hook the new one on at the end that does not pull first.', 'Bail back. Let go of it: it comes back by itself, and the brake goes on.')->with('spring hook, pliers')->saying(self::OFF.' Pliers only where the spring cannot fly at you.'),
            [FamilyKey::Bail, 'dry_cable'] => Remedy::of('Bail out of its hole.', 'A few drops of light oil into the conduit, worked in by drawing the wire to and fro. No grease: it stiffens in the cold.',
                'Still stiff, or rust comes out: replace the cable.', 'Bail back, closed and let go a few times.')->with('light oil')->saying(self::OFF),
            [FamilyKey::Bail, 'used_up'] => Remedy::newCable('Note the machine\'s model number: the cable is matched by it.')->with('pliers for the wings of the mount')->saying(self::OFF.' Bail out of its hole first.'),
            [FamilyKey::Bail, 'worn_lining'] => Remedy::of('Engine cold, spark lead off, and fan housing off.', 'Take the brake\'s spring off, then the brake.', 'Fit the new brake and its spring. Nothing oily on the flywheel.',
                'Spark lead and housing back on.', 'Time how long the blade takes to stop after the bail is let go. Listen for it; never look under the deck.')->with('spanners, spring hook')->saying(self::SPRING),
            [FamilyKey::ModeCables, 'dry_cable'] => Remedy::newCable('Look why its boot tore, and have a new boot ready.')->saying('Raised bed propped, wheels on rated stands and chocked.'),
            [FamilyKey::ModeCables, 'bent_arm'] => Remedy::of('Prop the raised bed, rear wheels off the ground on stands.', 'Note where each of the three cables stands, then take them off the arm.', 'Arm off, new arm on as the old one sat.',
                'Hook the cables on as they stood. Set one at a time, unloaded, four turns at most.', 'Try the whole table of modes with a wheel turned by hand.')->with('spanners, stands')->saying('Not on a jack alone.'),
            [FamilyKey::HydraulicClutch, 'lever_binds'] => Remedy::of('Take the lever off its pivot.', 'Clean lever, bush and pivot, and grease them lightly.', 'Back on. Leave its free travel: a lever that presses its piston at rest holds the clutch apart.')->with('spanner, grease'),
            [FamilyKey::HookControl, 'broken_spring'] => Remedy::of('Belt cover off.', 'Idler spring and its clip off with pliers. Compare it with the new one.', 'Clip in the frame, new spring on clip and arm.',
                'Belt on the idler, belt cover back on before anything runs.', 'Nothing turns with the control let go.')->with('pliers, spring hook')->saying(self::OFF.' '.self::SPRING),
            [FamilyKey::HookControl, 'stretched_belt'] => Remedy::of('Belt cover off, idler spring off.', 'New belt on as the old one lay, inside its guides.', 'Idler spring on, belt cover on.', 'Start a job and find the hole anew: the old one belongs to the old belt.')
                ->with('pliers, spanner')->saying(self::OFF),
            [FamilyKey::HookControl, 'belt_off'] => Remedy::of('Belt cover off.', 'Belt back on its wheels, inside every guide.', 'Straighten a bent guide so that it clears the belt with the control pulled.', 'Belt cover back on, then try.')->with('spanner, pliers')->saying(self::OFF),
            [FamilyKey::SlidingDrive, 'broken_spring'] => Remedy::of('Handle apart: the screws of both halves.', 'Broken spring out. It breaks at its hook.', 'New one slid in, halves together.', 'Push the handle and let go: it comes back by itself.')->with('screwdriver')->saying(self::SPRING),
            [FamilyKey::SlidingDrive, 'stretched_belt'] => Remedy::of('Mower level, spark lead off, belt cover off.', 'New belt on its wheels, behind its guide.', 'Cover back on.', 'Start a job: the clamp goes back towards the handle for a new belt, then a rung at a time.')
                ->with('spanners')->saying('Blade area clear.'),
            default => null,
        };
    }

    private static function ofTheCable(string $cause): ?Remedy
    {
        return match ($cause) {
            'frayed_wire' => Remedy::newCable(
                'Do not run it meanwhile: what is left of the wire may part under the next pull.',
            )->saying('Gloves: broken strands cut.'),
            'used_up' => Remedy::newCable(
                'Make sure that no adjuster and no clamp can still take it up: the job says so.',
            ),
            'shortened_conduit' => Remedy::newCable(
                'Straighten nothing: a conduit whose strands have come out does not go back.',
                'See what bent it so far, and give the new one gentle bends.',
            ),
            'dry_cable' => Remedy::of(
                'Unhook one end of the cable.',
                'Light oil into the conduit, wire drawn to and fro until it comes out clean at the other end.',
                'Grease on pivots and Z-bends, none in the conduit.',
                'Still stiff by hand: the cable is finished. Replace it.',
                self::PULL_AND_READ,
            )->with('light oil, rag'),
            'bad_route' => Remedy::of(
                'Follow it from end to end and note how it should lie: clips, steering head, past the exhaust.',
                'Free it, and lay it with gentle bends, every clip home.',
                'A conduit that was kinked stays weak there: replace the cable.',
                'Turn bars and work handles through all they do: nothing may trap or draw it.',
                self::PULL_AND_READ,
            )
                ->with('ties, clips')
                ->saying('Hot exhaust.'),
            'unseated_ferrule' => Remedy::of(
                'Slack first: the ferrule goes home by hand, never by force.',
                'Push it into its seat and see that its whole rim lies in it.',
                'Ask why it came out: too much play, a worn seat, a wire tab not bent back.',
                self::PULL_AND_READ,
            ),
            default => null,
        };
    }

    private static function ofTheLever(string $cause): ?Remedy
    {
        return match ($cause) {
            'worn_barrel' => Remedy::of(
                'All slack at the other end, then draw the wire out through the slots of barrel, ring and perch.',
                'Barrel out. Look at the perch\'s thread, too: a stripped one is replaced with it.',
                'New barrel in to its parking place, two or three threads out.',
                'Take the play up at the other end, then fine at the barrel.',
                'Slots of barrel, ring and perch out of line, so that the wire cannot jump out.',
            )->with('spanners'),
            'worn_adjuster' => Remedy::of(
                'Note where it stands, and give all slack.',
                'Old adjuster out, new one in to its parking place.',
                'Take the play up at the other end first.',
                self::PULL_AND_READ,
            )->with('spanners'),
            'bent_bracket' => Remedy::of(
                'Look for a crack first, with a light. Cracked, or a broken peg: replace it.',
                'Cable off the bracket, then bend it back once, square to the wire.',
                'Cable on, and work the control: the bracket may not give.',
                'Start a job and set the cable: all its play has moved.',
            )
                ->with('spanners, light'),
            'weak_return', 'weak_spring',
            'broken_spring' => Remedy::of(
                'See whether it only came unhooked: then hook it on where it sat.',
                'Weak or broken: take it off, and compare it with the new one.',
                'New one on, unloaded end first.',
                'Pull the control and let go slowly, then fast: it comes all the way back by itself.',
            )
                ->with('spring hook, pliers')
                ->saying(self::SPRING),
            'lever_binds' => Remedy::of(
                'Cable off the lever or arm.',
                'Move it by hand: free what binds, clean it, grease its pivot.',
                'Cable on. Start a job and read its play.',
            )->with('spanner, grease'),
            default => null,
        };
    }

    private static function ofTheClutch(string $cause): ?Remedy
    {
        return match ($cause) {
            'hot' => Remedy::of('Read the condition that the figure is for: cold, or warm.', 'Let it cool to that, or warm it to that.', 'Read its play again. The reading from before stands for another heat.')->saying('Hot case and exhaust burn.'),
            'wrong_oil' => Remedy::of('Look in the book for the kind: a wet clutch wants an oil without friction modifiers.', 'Warm the engine a little, then drain it, and change the filter where there is one.', 'Fill to the mark.',
                'Ride or run it gently and try again: old oil takes a while to leave the plates.', 'Still slipping: the plates may be glazed. Measure them.')->with('drain pan, spanner')->saying('Hot oil burns.'),
            'wrong_spline' => Remedy::of('Cable off the arm.', 'Snap ring, washer and arm off. Its up-side is marked.', 'Turn the shaft by hand in the direction it works until its slop is gone.', 'Arm down on the spline that meets the case mark, or the tooth just before.',
                'Washer, then the snap ring all the way in its groove.', 'Cable on and lock tab closed; set the play in a job, and wind the return spring on last.')->with('snap-ring pliers, screwdriver')->saying(self::SPRING.' So does a snap ring.'),
            'worn_plates' => Remedy::of('New friction plates into oil for a day or two.', 'Fuel off and machine on its side, or oil drained. Cover off.', 'Spring bolts loosened evenly in a star; pressure plate off; plates out in their order.',
                'Steel plates on glass: blue, purple or warped ones are replaced.', 'Friction plate first and last, alternating, singly. The pressure plate goes down in one position only.',
                'Bolts in a star to the book\'s torque, cover, oil; a brake that was tied down is pumped up again.', 'Start a job: play has moved.')->with('spanners, torque wrench, glass plate')->saying('Fuel off before it is laid on its side.'),
            'notched_basket' => Remedy::of('Cover off, plates out in their order.', 'A fingernail along basket and hub: shallow ridges are filed flat, and every finger alike.', 'Ridges too deep to file: replace the basket or hub.', 'Wash the filings out, plates back in their order, bolts in a star.', 'Start a job and read its play.')
                ->with('fine file, spanners, torque wrench')->saying('No filings in the engine.'),
            'tired_springs' => Remedy::of('Cover off. Loosen the spring bolts evenly in a star.', 'Replace all springs, never one alone.', 'Bolts in a star to the book\'s small torque.', 'Cover and oil back, play read again.')->with('torque wrench, caliper')->saying(self::SPRING),
            'worn_rod' => Remedy::of('Measure screw, rod and arm against the book before anything is bought.', 'Replace what is worn, ends greased.', 'Full slack at the cable, then set the push rod\'s gap, then the cable.', 'Look where the perch barrel stands: it must land in its healthy zone.')->with('caliper, spanner, screwdriver'),
            'worn_shoes' => Remedy::of('Cover off. Look at the drum, too: blue or grooved ones are replaced.', 'Replace shoes and springs as a set.', 'Nothing oily on drum and shoes where the clutch runs dry.', 'Set the idle, then try: it stands still at idle, and takes off smoothly.')->with('spanners, puller where the book wants one'),
            'weak_springs', 'clutch_spring' => Remedy::of('Clutch off, shoes apart.', 'Replace all its springs, never one alone.', 'Clean the drum, fit it, and set the idle.', 'At idle nothing turns.')->with('spring hook, spanners')->saying(self::SPRING),
            'air' => Remedy::of('Look in the maker\'s procedure for the fluid and the order.', 'Cover paint. Fill the reservoir, and never let it run empty while bleeding.', 'Bleed until no bubble comes and the lever stands firm.', 'Lid on. Look for damp joints after a few pulls.')->with('bleed hose, the maker\'s fluid')->saying('Fluid hurts eyes and paint.'),
            'old_fluid' => Remedy::of('Look in the maker\'s procedure for the fluid: kinds are not mixed.', 'Fill fresh in at the top, let old out at the bottom, until it comes clear.', 'Bleed, lid on.')->with('bleed hose, the maker\'s fluid')->saying('Fluid hurts eyes and paint.'),
            'leak' => Remedy::of('Dry everything, pull the lever, and see where it gets wet.', 'Replace or rebuild that part by the maker\'s procedure.', 'Fill and bleed.', 'Look again after a day.')->saying('Do not run it while it leaks.'),
            'worn_seal' => Remedy::of('Rebuild the lever\'s cylinder by the maker\'s procedure, or replace it.', 'A scored bore is replaced, not rebuilt.', 'Fill and bleed.', 'Hold the lever in for a minute: it may not creep to the bar.')->with('the maker\'s kit')->saying('Fluid hurts eyes and paint.'),
            default => null,
        };
    }

    private static function ofTheThrottle(string $cause): ?Remedy
    {
        return match ($cause) {
            'out_of_groove' => Remedy::of('Do not run it: a wire beside its drum can hold the throttle open.', 'Housing open, slack given, wire back in its groove.', 'Housing closed, boots left open.', 'Start a job and set its play: too much of it let the wire out.', 'Sweep the bars: it snaps shut at full left, straight and full right.')->with('screwdriver, spanners'),
            'routed_tight' => Remedy::of('Do not run it: turning the bars opens the throttle.', 'Follow the cable through the steering head, bars turned to both ends.', 'Free it and lay it as it was made. Too short for higher bars: fit the longer one.', 'Start a job: set it in the tightest place, and sweep again.')->with('ties, spanners'),
            'closing_loose' => Remedy::of('Start a job: each of the two cables is read and set by itself.', 'Take the closing cable\'s slack away, to the middle of its band.', 'Read both again: each changes what the other reads.', 'Sweep the bars: it snaps shut at full left, straight and full right.')->with('spanners'),
            'grip_binds' => Remedy::of('Bar-end weight off.', 'Draw the grip a little inwards, so that it clears the bar end.', 'Tube and bar clean and dry. No grease on the bar.', 'Snap it shut from full, bars left, straight and right.')->with('screwdriver'),
            'sticking_throttle' => Remedy::of('Cable off the carburettor and moved by hand: free, then it is the carburettor.', 'Take the slide or butterfly out and clean it. A scored or worn one is replaced.', 'Spring whole and hooked on.', 'Cable on. Start a job: it snaps shut by itself.')->with('spanners, carburettor cleaner')->saying('Fuel off. No flame.'),
            'rubber_turns' => Remedy::of('Rubber off, tube clean and dry.', 'Glue it on as the glue\'s maker says, and let it set.', 'A torn one is replaced.', 'Only then read play again: a rubber that turns reads as play.')->with('grip glue'),
            'sticking_trigger' => Remedy::of('Handle apart.', 'Clean trigger, lock and pivot. A worn one is replaced.', 'Together, then snap it: it comes back by itself.')->with('screwdriver')->saying('Spark lead off.'),
            'end_out' => Remedy::of('Filter cover and filter off.', 'Wire\'s end down through its keyhole, pulled forward until it locks.', 'The cover that holds the cable\'s stop back on.', 'Full and closed tried, then snapped.')->with('pliers, screwdriver')->saying('Spark lead off.'),
            'joint_off' => Remedy::of('Look first how the cable lies in its track and where the guide nut sits.', 'Some conduit out of the track: slack. Tilt the joint and hook the eye.', 'Guide nut where it sat, conduit\'s edge at the beginning of its track.', 'Covers on. Full and closed tried, then snapped.')->with('screwdriver')->saying('Spark lead off.'),
            'idle_high', 'idle_low' => Remedy::of('Read its play first: a taut cable raises the idle, and no screw cures that.', 'Engine warm. Turn the idle screw a little at a time to the book\'s speed.', 'At idle nothing moves, and it does not stall.')->with('screwdriver')->saying('Outdoors. Wheels, head or blade clear of everybody.'),
            'pedal_sticks' => Remedy::of('Mat and dirt out from under it.', 'Clean the pivot and grease it. Mend or replace its spring.', 'Press and let go: it comes all the way up by itself.')->with('grease')->saying('Key out, neutral: pressing the pedal may start the engine.'),
            'governor_spring' => Remedy::of('Look in the book for its hole, and note where it is.', 'Hook it in its own hole. A stretched one is replaced.', 'Start a job: prove opening and closing, then measure the speed.')->with('spring hook')->saying('Never past the governed limit. '.self::SPRING),
            'governor_nut' => Remedy::of('Cables first: prove opening and closing of both.', 'Back to where half an inch of thread stays, or where the book says.', 'Measure the speed on the flat. Never past the maker\'s limit.')->with('spanner, speed measured')->saying('Governed speed is never raised past the maker\'s limit.'),
            'small_tyres' => Remedy::of('Look up size and pressure, and measure.', 'Inflate all four, or fit the size it had.', 'Measure the speed again before anything else is set.')->with('gauge'),
            'governor_raised' => Remedy::of('Cables first: prove opening and closing of both.', 'Untie the arm. The maker\'s own spring, in its own hole.', 'Measure the speed on the flat, and set it back within the maker\'s limit.')->with('spanner, spring hook, speed measured')->saying('Governed speed is never raised past the maker\'s limit. '.self::SPRING),
            'large_tyres' => Remedy::of('Look up the size the machine had, and measure.', 'Fit it, all four at their pressure.', 'Measure the speed again before anything else is set.')->with('gauge'),
            'weak_engine' => Remedy::of('Air filter clean, fuel fresh.', 'Plug out: colour and gap. Then the carburettor.', 'Only when it pulls, measure the speed again.')->with('plug spanner')->saying('Fuel off while the carburettor is open.'),
            'worn_belt' => Remedy::of('Belt off and measured against the book\'s least width.', 'Clutches clean, new belt on in its running direction.', 'Measure the speed again before any cable is set.')->with('spanners, caliper')->saying('Never a hand near a running belt.'),
            default => null,
        };
    }

    private static function ofTheDrive(string $cause): ?Remedy
    {
        return match ($cause) {
            'belt_off' => Remedy::of('Belt cover off.', 'Belt back on its wheels, behind its guide. A frayed or glazed one is replaced.', 'Guide straight, clear of the belt.', 'Cover on. Nothing moves at rest, then try it.')->with('spanner')->saying(self::OFF.' Never a hand near a running belt.'),
            'stretched_belt' => Remedy::of('Belt cover off, and the number of the old belt noted.', 'New belt on its wheels, behind its guides.', 'Start a job with the adjusters run back: a new belt is shorter, and must not pull at rest.', 'Look again after the first few uses.')->with('spanners')->saying(self::OFF.' Never a hand near a running belt.'),
            'slipped_clamp' => Remedy::of('Conduit back to its mark in the clamp.', 'Bolt tight, but not hard: the seat is plastic. A stripped one is replaced.', 'Rolls back freely, drives when pushed, nothing at rest.')->with('spanner, pen'),
            'drive_holds' => Remedy::of('Wheels off. Look at pawl and gear.', 'Free the pawl, clean it, a little grease.', 'Wheels on. Push forward and draw back: it lets go both ways.')->with('spanner, grease')->saying(self::OFF.' Blade area clear.'),
            'nut_loose' => Remedy::of('Nut back to its mark, the other one against it, both tight.', 'No mark: start a job and set it anew.', self::PULL_AND_READ)->with('two spanners, pen'),
            'slipping_clamp' => Remedy::of('All adjusters to full slack.', 'Wire through the clamp to where it is sound, clamp tight. A notched wire is replaced.', 'Pull hard on it a few times: the mark may not move.', 'Start a job: take up at the bolts, clamp left alone.')->with('spanners, pen')->saying('Broken strands cut.'),
            'bolts_used_up' => Remedy::of('Bolts run fully back.', 'Wire pulled through the pinch clamp until little slack is left, and clamped on sound wire.', 'Start a job: set it with the whole bolt ahead.', 'No clamp, and nothing left: replace the cable.')->with('spanners, pliers'),
            'worn_lining' => Remedy::of('Open the clutch and look at its lining.', 'Oily or glazed: clean it, and find the oil\'s way in. Thin: replace it.', 'Together, then start a job: its play has moved.')->with('spanners')->saying(self::OFF),
            'stiff_arm' => Remedy::of('Belt cover off, spring off the idler arm.', 'Arm moved by hand. Clean it, grease its pivot.', 'Spring on, belt cover on.', 'Nothing turns with the control let go.')->with('pliers, grease')->saying(self::OFF.' '.self::SPRING),
            default => null,
        };
    }

    private static function ofTheBail(string $cause): ?Remedy
    {
        return match ($cause) {
            'broken_peg' => Remedy::of(
                'Bail out of its hole: no tension.',
                'Old clip off by its wings only. New peg or clip in, pushed by hand until both wings lock.',
                'Bail back. Closed, the brake is off and the contact open; let go, both come back.',
            )
                ->with('long-nosed pliers')
                ->saying(self::OFF),
            'dirty_contact' => Remedy::of(
                'Fan housing off, contact found.',
                'Clean it with fine paper, bend it back so that it opens fully with the bail closed.',
                'Let go: it grounds the engine. Try that first with a short run.',
            )
                ->with('fine abrasive paper')
                ->saying('Spark lead off.'),
            'no_spark' => Remedy::of(
                'Plug: clean, gap, or a new one.',
                'Lead: sound and firmly on.',
                'Stop wire off the coil: sparks then, it is the contact; no spark, it is the coil or its gap.',
                'Stop wire back on before it runs.',
            )
                ->with('plug spanner, spark tester, feeler')
                ->saying('Never hold the plug in the hand.'),
            'stiff_starter' => Remedy::of(
                'Spark lead off, starter off and turned by hand. Stiff: clean and oil it.',
                'Starter free: turn the engine by hand. Stiff: something holds it, the blade\'s shaft or oil in the cylinder.',
                'Starter on, rope drawn with the bail closed.',
            )
                ->with('spanners')
                ->saying('Starter spring: eyes and fingers. Blade area clear.'),
            default => null,
        };
    }

    private static function ofArmsAndBrakes(string $cause): ?Remedy
    {
        return match ($cause) {
            'bent_arm' => Remedy::of('Lever to the fastest forward: that unloads the arm.', 'Clamp the arm against its spring, then take off what is bent.', 'Straighten it once if it is not cracked, else replace it.', 'Start a job: R1 and F1 tried, both.')->with('spanners, clamp')->saying('Engine off. The arm\'s return spring is strong.'),
            'slipped_bracket' => Remedy::of('Lever to the fastest forward, arm clamped.', 'Bracket back to its paint mark.', 'Hold the bolt\'s head, self-locking nut tight. One that turns by hand is replaced.', 'Clamp off slowly. Start a job: R1 and F1 tried, both.')->with('two spanners, clamp')->saying('Engine off. The arm\'s return spring is strong.'),
            'off_forward', 'off_reverse' => Remedy::of('Start a job: it says which way the arm has to go, and a small trial shows which way the bracket goes for that.', 'Lever to the fastest forward, arm clamped, bracket marked.', 'A little at a time, nut tight each time.', 'Try both R1 and F1 each time.')->with('two spanners, clamp, paint pen')->saying('Engine off. The arm\'s return spring is strong.'),
            'worn_zbend' => Remedy::newCable('A Z-bend worn half through breaks soon: do not bend it shut.')->with('grease for the new one'),
            'stiff_pivot' => Remedy::of('Rod or cable off the arm.', 'Free the arm, clean off the rust, grease its pivot. No grease on the disc.', 'Back on. Lever through all its places: the arm follows by itself.')->with('penetrating oil, grease')->saying('Engine off.'),
            'worn_rubber' => Remedy::of('Bottom cover off.', 'Measure the rubber against the book, and replace it.', 'Disc clean and dry.', 'Start a job: R1 and F1 tried, both.')->with('spanners')->saying('Fuel off before it is laid on its side.'),
            'oily_disc' => Remedy::of('Bottom cover off. Find where the oil comes from first.', 'Clean disc and rubber with what leaves no film.', 'A soaked rubber is replaced.')->with('brake cleaner, rags')->saying('Outdoors: no flame.'),
            'unmet' => Remedy::of('Nothing is set.', 'Roll the machine a little, or turn a wheel by hand, at each change.', 'Bangs still: the lever has left the locked mode and the teeth late. Look at that cable.')->saying('Nobody in front.'),
            'unequal_tyres' => Remedy::of('Measure all four: size and pressure.', 'Make them alike.', 'Try the modes again before anything is set.')->with('gauge, tape'),
            'dash_switch' => Remedy::of('Turn the wheels by hand in each mode: they tell the truth.', 'Set the switch so that it follows, or replace it.', 'Try dash and wheels in every mode.')->with('screwdriver')->saying('Wheels on rated stands and chocked.'),
            'oily_shoes' => Remedy::of('Find where the oil comes from, and stop that first.', 'Oily shoes are replaced. Glazed ones are roughened, drum clean.', 'Start a job: it holds before the lever\'s end, and nothing drags let go.')->with('spanners, abrasive paper')->saying('Dust of linings is not breathed in. A brake that does not hold: do not run.'),
            'worn_shoes' => Remedy::of('Measure the lining against the book.', 'Replace both sides together.', 'Adjusters run back, then start a job: it holds before the lever\'s end, and nothing drags let go.')->with('spanners')->saying('Dust of linings is not breathed in. A brake that does not hold: do not run.'),
            'stiff_cam' => Remedy::of('Cable off, drum open.', 'Cam out, cleaned, a little grease on it, none on the shoes.', 'Together. Let go, the arm comes back by itself.', 'Start a job and set the cable.')->with('spanners, grease')->saying('Dust of linings is not breathed in.'),
            'stiff_end' => Remedy::of('Cable off its working end.', 'Move that by hand: free it, clean it, grease its pivot.', 'Cable on. '.self::PULL_AND_READ)->with('grease'),
            default => null,
        };
    }
}
