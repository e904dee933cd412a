<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;
use stdClass;
use Tests\Support\HttpClient;
use Tests\Support\Preparation;

final class ThrottleJobTest extends BrowserTestCase
{
    public function test_a_whole_job_from_make_safe_to_close(): void
    {
        $this->as('ines')->startJob('QB-03', 'throttle')->line(...array_fill(0, 9, 'ok'))->line('cold');
        $this->line('7.5', '7.5', '8')->see('Outside: too loose by 1.7', 'Next move');
        $this
            ->see('The boot is off')
            ->armed()
            ->clickText('The boot is off')
            ->settled()
            ->see('Thread showing at the grip adjuster')
            ->line('ok');
        $this
            ->armed()
            ->click('[data-done]')
            ->settled()
            ->line('4', '4', '4')
            ->see('Lock the grip adjuster')
            ->line('ok')
            ->line('4', '4', '4');
        $this
            ->see('Bars from stop to stop')
            ->line('3.5')
            ->see('Next: Reading, bars full right')
            ->line('4', '4')
            ->line('4', '3.5')
            ->armed()
            ->click('[data-go-on]')
            ->see('Opened fully and let go');
        $this->line('yes', 'yes', 'yes')->see('Wire lies in its groove')->line('yes', 'yes')->see('Boot back on');
        $this->line('ok', 'ok', 'ok')->see('Sign as fit for use')->click('[data-close=fit]')->see('Signed by Ines');
        $this->visit('/machines/QB-03')->see('fit for use', '7.7', 'Hesk service book');
    }

    public function test_the_person_chooses_which_adjuster(): void
    {
        $this->as('ines')->lookedOver('SC-11', 'throttle', 'hot');
        $this
            ->line('7.5', '7.5', '8')
            ->see('Next move · grip adjuster')
            ->click('[data-adjuster=carburettor]')
            ->see('Next move · carburettor adjuster');
        $this->see('The carburettor cover is off');
        self::assertSame('true', $this->element('[data-adjuster=carburettor]')->getAttribute('aria-pressed'));
    }

    public function test_a_throttle_that_does_not_snap_shut_ends_in_a_tag_that_a_lead_lifts(): void
    {
        $this->as('ines')->lookedOver('QB-01', 'throttle', 'cold');
        $this->line('4', '4', '4')->line('4', '4', '4')->line('4', '4', '4')->see('Opened fully and let go');
        $this
            ->line('yes', 'yes', 'no')
            ->see(
                'Do not run. Throttle does not snap shut, bars full right.',
                'its cable has play, and so that is no matter of slack',
            );
        $this->refusedDirectly('bars full right');
        $this->clickText('Tag it: do not run')->see('Hang the tag')->clickText('Hang the tag')->settled();
        $this->see('Close the job as tagged')->click('[data-close=tagged]')->see('Signed by Ines');
        $this->visit('/')->see('QB-01');
        self::assertStringContainsString('QB-01', $this->text('main'));

        $this->lookedOver('QB-01', 'throttle', 'cold')->line('4', '4', '4')->line('4', '4', '4')->line('4', '4', '4');
        $this->line('yes', 'yes', 'yes', 'yes', 'yes')->line('ok', 'ok')->see('Ask a lead to join this job');
        $this->refusedDirectly('A tag stands');
        $path = (string) parse_url($this->browser->getCurrentURL(), PHP_URL_PATH);
        $this->browser->manage()->deleteAllCookies();
        $this->as('oda')->visit($path)->see('Join this job')->clickText('Join')->settled()->see('Lift the tag');
        $this
            ->click('[data-primary]')
            ->settled()
            ->see('Sign as fit for use')
            ->click('[data-close=fit]')
            ->see('Signed by Oda');
        $this->visit('/machines/QB-01')->see('left 4.0 mm');
        self::assertStringNotContainsString('Do not run', $this->text('main'));
    }

    /** What is suspected stands over the button that sees to it, and the rest is one tap away. */
    public function test_where_no_move_reaches_the_cable_is_replaced_from_the_card(): void
    {
        $this
            ->as('ines')
            ->onBench(
                $this->machineLike('RT-20', 'TJ-28'),
                'throttle',
                Preparation::RIGHT,
                ...['12', '12', '12', 'thread 9 mm', 'thread 9 mm'],
            )
            ->window(390, 844);
        $this
            ->see('No move reaches the band', 'A conduit out of its seat', 'A stretched or wrong cable')
            ->gone('[data-ask] [data-cure=groove]')
            ->accessible('no move reaches the band, on a phone')
            ->armed()
            ->click('[data-ask] [data-more-cures]')
            ->await('[data-ask] [data-cure=groove]');
        $this->click('[data-ask] [data-replace-now]')->see('Why is it replaced?');
    }

    public function test_what_failed_is_looked_for_likeliest_first_and_tried_anew_where_nothing_is_found(): void
    {
        $this
            ->as('ines')
            ->onBench($this->machineLike('RT-20', 'TJ-27'), 'throttle', Preparation::RIGHT, '4', '4', '4')
            ->window(390, 844);
        $this
            ->line('no')
            ->see('Put right what failed', 'Look for these, the likeliest first', 'A dry or kinked wire')
            ->accessible('what is looked for where a proof failed, on a phone');
        self::assertSame(
            ['oiled', 'other', 'spring', 'route'],
            array_slice((array) $this->browser->executeScript(
                'return [...document.querySelectorAll("[data-ask] [data-cure]")].map((one) => one.dataset.cure);',
            ), 0, 4),
            'each under what it cures',
        );
        $this->armed()->click('[data-nothing-found]')->see('Nothing was found: pull it fully three times');
        self::assertContains('Looked, nothing found: it is read anew', array_column($this->state()['log'], 'what'));
    }

    public function test_a_pose_outside_is_shown_before_anything_is_tried(): void
    {
        $this
            ->as('ines')
            ->onBench($this->machineLike('RT-20', 'TJ-20'), 'throttle', Preparation::RIGHT, '4.2', '0.8', '0.8', '4.2')
            ->see('Bars full left: 0.8 mm. Outside: too tight by 1.2.', 'Every pose is read again after it.');
        self::assertSame('pose:left', $this->state()['asks']);
        // What to turn stands there itself, and needs no other place to be found.
        self::assertSame('move', $this->state()['next']['kind']);
        self::assertStringContainsString('Next move', $this->text('[data-ask]'));
        $this
            ->click('[data-ask] [data-primary]')
            ->see('thread')
            ->line('cannot be seen')
            ->await('[data-ask] [data-done]');
        $this->click('[data-ask] [data-done]')->see('Moved: pull it fully three times and read it');
    }

    public function test_where_the_bars_move_play_by_the_whole_band_the_route_is_looked_at_and_its_mend_is_one_tap(): void
    {
        $this
            ->as('ines')
            ->onBench(
                $this->machineLike('RT-20', 'TJ-21'),
                'throttle',
                Preparation::RIGHT,
                '4.0',
                '6.9',
                '6.9',
                '1.2',
                '1.2',
            );
        $this->window(390, 844);
        $this->see('Look at the route', 'Play changes more from pose to pose than the band is wide');
        self::assertSame('routing_fault', $this->state()['next']['kind']);
        $this
            ->armed()
            ->click('[data-ask] [data-cure=route][data-primary]')
            ->see('Changed: pull it fully three times and read it');
        self::assertStringStartsWith('in_band', $this->state()['asks']);
    }

    /** What the bench asks to be measured is measured there and then, and it goes on by it. */
    public function test_after_turning_to_and_fro_the_grip_is_measured_and_it_goes_on(): void
    {
        $this
            ->as('ines')
            ->onBench(
                $this->machineLike('RT-20', 'TJ-25'),
                'throttle',
                Preparation::RIGHT,
                ...['7', '7', '7', '-1f', '7', '7', '7', '+1f', '7', '7', '7', '-1f', '7', '7', '7'],
            )
            ->window(390, 844);
        $this
            ->see('Stop turning, and look', 'Measure the two radii of the grip', 'Or tap what was put right.')
            ->accessible('something to be measured, on a phone')
            ->click('[data-measure-hand=now][data-primary]')
            ->see('From the middle of the bar')
            ->accessible('the radii of a grip, on a phone');
        $this
            ->click('[name=hand-wire]')
            ->keys('1.5')
            ->click('[name=hand-grip_flange]')
            ->keys('42')
            ->click('[role=dialog] [data-primary]')
            ->see('Throttle grip measured', 'By that the grip flange would move 28.0 mm for 1 mm of wire');
        self::assertEqualsWithDelta(1.4, $this->state()['hand']['ratio'], 1e-9, 'what cannot be is refused');
        $this
            ->clickText('Discard it')
            ->armed()
            ->click('[data-measure-hand=now]')
            ->click('[name=hand-wire]')
            ->keys(WebDriverKeys::BACKSPACE, WebDriverKeys::BACKSPACE, WebDriverKeys::BACKSPACE, '15')
            ->click('[role=dialog] [data-primary]')
            ->settled()
            ->see('Measured: pull it fully three times and read it anew');
        self::assertEqualsWithDelta(2.8, $this->state()['hand']['ratio'], 1e-9);
        $this->line('7')->line('7')->line('7');
        self::assertSame('move', $this->state()['next']['kind']);
    }

    /** No part is blamed for what a rule cannot tell. */
    public function test_readings_too_coarse_are_taken_with_a_finer_instrument_by_one_tap(): void
    {
        $tag = $this->machineLike('RT-20', 'TJ-26');
        $this->server->judgedBy($tag, 'throttle', 3.5, 4.5);
        $this
            ->as('ines')
            ->onBench(
                $tag,
                'throttle',
                Preparation::RIGHT,
                ...['7', '6', '7', '-1f', '7', '6', '7', '+1f', '7', '6', '7', '-1f', '7', '6', '7'],
            )
            ->window(390, 844);
        $this->see('Take a finer instrument', 'read it with a finer instrument before anything is turned again');
        $this
            ->gone('[data-nothing-found]')
            ->accessible('a finer instrument to be taken, on a phone')
            ->click('[data-take=caliper-1][data-primary]')
            ->see('The caliper is in hand: pull it fully, and type what it reads.')
            ->line('6.8')
            ->line('6.8')
            ->line('6.8');
        self::assertSame('move', $this->state()['next']['kind'], 'turned by what is known now');
    }

    public function test_where_a_rule_cannot_tell_the_caliper_is_one_tap_on_the_card_that_asks_for_it(): void
    {
        $tag = $this->machineLike('RT-14', 'TJ-41');
        $this
            ->as('ines')
            ->onBench($tag, 'clutch', Preparation::RIGHT, '3', '19.5', '20', '19.5')
            ->window(390, 844);
        $this->see("Can't tell with this steel rule: take a caliper.", 'Leave it as it reads');
        $this
            ->gone('[data-take=feeler-1]')
            ->accessible('a caliper to be taken, on a phone')
            ->click('[data-take=caliper-1][data-primary]')
            ->see('The caliper is in hand: pull it fully, and type what it reads.')
            ->line('19.6');
        self::assertSame('Caliper', $this->state()['now']['instrument']);
    }

    public function test_where_nothing_is_found_at_the_route_it_is_read_anew(): void
    {
        $this
            ->as('ines')
            ->onBench($this->machineLike('RT-20', 'TJ-23'), 'throttle', Preparation::RIGHT, '4.0', '6.9', '6.9', '1.2', '1.2')
            ->window(390, 844);
        $this
            ->see('Look at the route')
            ->armed()
            ->accessible('the route to be looked at, on a phone')
            ->click('[data-nothing-found]')
            ->see('Nothing was found: pull it fully three times and read it anew')
            ->line('4.0')
            ->gone('[data-nothing-found]');
        self::assertSame('prove', $this->state()['next']['kind'], 'what was read before is left aside');
        self::assertContains('Looked, nothing found: it is read anew', array_column($this->state()['log'], 'what'));
    }

    public function test_what_reads_so_again_after_nothing_was_found_is_replaced_or_tagged(): void
    {
        $this
            ->as('ines')
            ->onBench(
                $this->machineLike('RT-20', 'TJ-24'),
                'throttle',
                Preparation::RIGHT,
                '4.0',
                '6.9',
                '6.9',
                '1.2',
                '1.2',
                'nothing found',
                '4.0',
                '6.9',
                '6.9',
                '1.2',
                '1.2',
            )
            ->window(390, 844);
        $this->see('It was looked at before, nothing was found', 'Or tap what was put right since', 'Tag it: do not run');
        $this
            ->gone('[data-ask] [data-cure][data-primary]')
            ->armed()
            ->accessible('a cable to be replaced, on a phone')
            ->click('[data-ask] [data-replace-now][data-primary]')
            ->see('Why is it replaced?');
    }

    public function test_what_is_to_be_read_again_before_a_part_is_blamed_is_asked_by_name_and_once(): void
    {
        // Where its other adjuster stands is known of it from before.
        $this
            ->as('ines')
            ->onBench(
                'RT-02',
                'throttle',
                'all ok',
                'ok',
                'ok',
                'ok',
                'ok',
                'ground',
                'thread 0 mm',
                '3.6',
                '0.9',
                '0.9',
            );
        $this
            ->see('Reading, bars straight', 'Read it once more with bars straight, before a part is blamed.')
            ->window(390, 844);
        $this->await('[data-advice]')->accessible('the straight one, read again');
        self::assertLessThan(
            844,
            $this->browser->executeScript(
                'return document.querySelector("[data-advice]").getBoundingClientRect().bottom',
            ),
            'the reason is in sight on a phone',
        );
        $this
            ->line('3.6')
            ->see('Next: Reading, bars full right')
            ->click('[data-go-on]')
            ->gone('[data-go-on]')
            ->line('3.6')
            ->click('[data-go-on]')
            ->see('not enough thread to give the slack');
        self::assertSame('pose:left', $this->state()['asks']);
        self::assertSame(
            2,
            array_column((array) $this->state()['poses'], 'count', 'pose')['straight'],
            'one group, whatever was read in between',
        );
        $this->server->leave('RT-02', 'throttle');
    }

    public function test_a_throttle_not_tried_in_one_pose_cannot_be_closed_as_fit(): void
    {
        $this->as('ines')->lookedOver('SC-05', 'throttle', 'hot');
        $this->line('4', '4', '4')->line('4', '4', '4')->line('4', '4', '4')->line('yes', 'yes');
        $this
            ->click('[data-stage=close]')
            ->click('[data-item=sign_off]')
            ->see('Not fit for use yet', 'bars full right');
        $this->refusedDirectly('bars full right');
        // Whoever turns to what runs it is told before it runs, and its answer is not taken.
        $this
            ->click('[data-stage=prove]')
            ->click('[data-item="check:idle_steady"]')
            ->see('Not before what is tried with the engine off.')
            ->line('yes');
        $this->see(
            'This runs the machine. First, with the engine off: Snaps shut in every pose: not tried yet: bars full right.',
        );
        // The line came back to what it was typed at: a second Enter answers nothing else.
        $this
            ->keys(WebDriverKeys::ENTER)
            ->settled()
            ->await('[data-item="check:idle_steady"][aria-current=true]')
            ->see('This runs the machine.');
        self::assertSame('check:snap_shut/right', $this->state()['asks']);

        // A tap that is refused holds up nothing: whoever has read why taps the next.
        $this->armed()->click('[data-ask] [data-answer=yes]')->await('[data-kept=refused]');
        foreach (['check:snap_shut/right', 'check:wire_in_groove'] as $next) {
            $this->await("[data-item=\"{$next}\"][aria-current=true]")->armed();
            $this->click('[data-ask] [data-answer=yes]')->gone('[data-kept]')->settled();
        }
        self::assertSame('check:idle_steady', $this->state()['asks']);
    }

    /** The server refuses too, whatever the screen does. */
    private function refusedDirectly(string $words): void
    {
        $client = new HttpClient($this->server->url);
        $client->signIn('tomas', 'dune-grass-17');
        $id = static fn (): string => sprintf(
            '%08x-0000-4000-8000-%012x',
            random_int(0, 0xFFFFFFFF),
            random_int(0, 0xFFFFFFFFFF),
        );
        $client->send(
            'POST',
            "jobs/{$this->job()}/entries",
            ['id' => $id(), 'at' => date('c'), 'kind' => 'joined', 'body' => new stdClass],
        );
        // They have looked at what stands there.
        $after = $client->send('GET', "jobs/{$this->job()}")[1]['state']['head'];
        [$status, $body] = $client->send(
            'POST',
            "jobs/{$this->job()}/entries",
            ['id' => $id(), 'at' => date('c'), 'after' => $after, 'kind' => 'closed', 'body' => ['outcome' => 'fit']],
        );
        self::assertSame(422, $status);
        self::assertStringContainsString($words, $body['detail'].implode(' ', $body['missing'] ?? []));
    }
}
