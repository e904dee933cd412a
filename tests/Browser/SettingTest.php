<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Tests\Support\HttpClient;
use Tests\Support\Preparation;

/**
 * What the setting screen does beyond one barrel: plans, service, what slips, other kinds of adjuster, other points.
 */
final class SettingTest extends BrowserTestCase
{
    public function test_a_throttle_with_two_adjusters_in_service(): void
    {
        $this->as('ines')->lookedOver('SC-08', 'throttle', 'hot');
        $this->line('8', '8', '8')->see('Next move')->pick('mode', 'service');
        $this
            ->see('Work as service, hidden end first')
            ->click('[data-adjuster=carburettor]')
            ->see('The carburettor cover is off');
        $this
            ->armed()
            ->clickText('The carburettor cover is off')
            ->settled()
            ->see('Thread showing at the carburettor adjuster')
            ->line('thread 1 mm');
        $this
            ->click('[data-adjuster=grip]')
            ->armed()
            ->clickText('The boot is off')
            ->settled()
            ->see('Thread showing at the grip adjuster')
            ->line('thread 8 mm');
        $this->click('[data-adjuster=carburettor]')->see('Next move · carburettor adjuster');
        $moves = 0;
        while ($moves++ < 6 && str_contains($this->text('[data-ask]'), 'Next move')) {
            $this->armed()->click('[data-done]')->settled()->line(...array_fill(0, 3, $this->foretold()));
        }
        self::assertGreaterThan(2, $moves, 'the hidden end, then the one in reach');
        $this->see('Lock the grip adjuster');
        $state = $this->state();
        self::assertLessThanOrEqual(6.0, $state['adjusters'][0]['at_mm'], 'the grip adjuster is home');
        self::assertGreaterThan(3.0, $state['adjusters'][1]['at_mm'], 'and the carburettor end took the slack up');
        self::assertSame('inside', $state['now']['verdict']);
    }

    public function test_a_perch_barrel_two_thirds_out_is_brought_home_and_the_top_read_again(): void
    {
        $this->as('ines')->lookedOver('RT-20', 'clutch', 'cold')->line('thread 7.4 mm')->line('15', '15', '15');
        $this
            ->see(
                'outside its zone',
                'Look at the in-line adjuster first',
                'The perch barrel stands outside its healthy zone',
            )
            ->armed()
            ->clickText('The boot is off')
            ->settled();
        $this
            ->see('Thread showing at the in-line adjuster')
            ->line('thread 2 mm')
            ->see('Next move', 'perch barrel in', 'in-line adjuster out');
        for ($moves = 0; $moves < 4 && str_contains($this->text('[data-ask]'), 'Next move'); $moves++) {
            $this->armed()->click('[data-done]')->settled()->line(...array_fill(0, 3, $this->foretold()));
        }
        $this
            ->see('Lock the perch barrel')
            ->line('ok')
            ->see('Lock the in-line adjuster')
            ->line('ok')
            ->see('Read it again, locked')
            ->line('15', '15', '15')
            ->see('Prove');
        self::assertLessThanOrEqual(5.5, $this->state()['adjusters'][0]['at_mm']);
        self::assertSame('inside', $this->state()['now']['verdict']);
    }

    public function test_leaving_the_barrel_for_the_next_service_is_said_and_logged(): void
    {
        $this->as('tomas')->lookedOver('RT-11', 'clutch', 'cold')->line('thread 7.4 mm')->line('15', '15', '15');
        $this->window(390, 844);
        $this->see('Look at the in-line adjuster first')->accessible('an adjuster outside its zone');
        self::assertSame(
            [],
            $this->browser->findElements(WebDriverBy::cssSelector('[data-done]')),
            'no move is offered where none is advised',
        );
        $this->armed()->click('[data-answer=touch-up]')->settled()->see('Release arm loose by hand');
        self::assertContains('policy', array_column($this->rows(), 'kind'));
    }

    public function test_turned_to_and_fro_it_says_what_to_look_for_and_offers_no_turn(): void
    {
        $this
            ->as('ines')
            ->foundLoose(
                'ST-11',
                '+1t',
                '5',
                '5',
                '5',
                '-1t',
                '26',
                '26',
                '26',
                '+1t',
                '5',
                '5',
                '5',
                '-1t',
                '26',
                '26',
                '26',
            );
        $this->window(390, 844);
        $this->see('Stop turning, and look', 'Turned to and fro, and not settled.')->accessible('turned to and fro');
        self::assertSame([], $this->browser->findElements(WebDriverBy::cssSelector('[data-done]')));
        $this->line('done')->see('No move was shown, so there is none to call done.');
        $this->click('[data-ask] [data-cure=ferrule]')->see('Changed: pull it fully three times and read it');
    }

    public function test_a_turn_that_nothing_came_of_is_read_once_more_and_twice_is_turned_no_more(): void
    {
        $this
            ->as('tomas')
            ->foundLoose(
                'ST-12',
                '+1t',
                '25',
            );
        $this->window(390, 844);
        $this
            ->see('Read it once more', 'It does not read as it should after that move.');
        self::assertSame([], $this->browser->findElements(WebDriverBy::cssSelector('[data-done]')));
        $this->line('25')->see('Next move');
        $this->armed()->click('[data-done]')->settled()->line('25', '25');
        $this
            ->see('Stop turning, and look', 'Two moves in a row were not followed by the play.', 'A wire that sticks')
            ->accessible('a turn that nothing came of');
        $this->armed()->click('[data-ask] [data-cure=ferrule]')->settled()->line('25', '25', '25')->see('Next move');
    }

    public function test_a_lock_nut_that_slips_is_noticed_and_teaches_nothing(): void
    {
        $this
            ->as('ines')
            ->lookedOver('SC-02', 'clutch', 'cold')
            ->line('ok')
            ->line('20', '20', '20')
            ->see('Outside: too loose by 6.0');
        $this
            ->armed()
            ->click('[data-done]')
            ->settled()
            ->line('20', '20.5', '20')
            ->see('turned the wrong way, or something slipped', 'Check the lock nut');
        self::assertFalse($this->state()['learned']['taught']);
        $this
            ->clickText('A new part went on')
            ->see('Which part is new?')
            ->accessible('a new part')
            ->click('[data-part=cable]')
            ->clickText('Log it')
            ->settled()
            ->gone('[role=dialog]')
            ->see('Inner wire')
            ->line('ok', 'ok')
            ->see('New cable fitted', 'Changed: pull it fully');
    }

    public function test_a_cam_screw_to_the_close(): void
    {
        $this->as('ines')->onBench('TM-06', 'trigger', Preparation::OKS, 'cold');
        $this
            ->choose('[data-pick=instrument]', 'caliper-1')
            ->line('2.6', '2.6', '2.65')
            ->see('Next move · cam screw', 'CLOCKWISE', 'filter cover is off');
        $this
            ->armed()
            ->clickText('The filter cover is off')
            ->settled()
            ->see('Where the cam screw stands, in turns')
            ->line('thread 1.5');
        $this
            ->see('from its clockwise stop', 'CLOCKWISE')
            ->armed()
            ->click('[data-done]')
            ->settled()
            ->line('1.1', '1.1', '1.05')
            ->see('Lock the cam screw');
        $this
            ->line('ok')
            ->line('1.1', '1.1', '1.1')
            ->see('the carburettor is wide open')
            ->line('yes', 'yes', 'yes')
            ->see('Filter cover back on');
        $this
            ->line('ok', 'ok', 'ok')
            ->see('At idle the head stands still')
            ->line('yes', 'ok')
            ->see('Sign as fit for use')
            ->click('[data-close=fit]')
            ->see('Signed by Ines');
        $this->visit('/machines/TM-06')->see('left 1.1 mm', 'cam screw', 'from its clockwise stop');
    }

    public function test_rungs_are_pointed_at_and_turns_of_them_refused(): void
    {
        $this
            ->as('ines')
            ->onBench('MW-04', 'drive', ...array_fill(0, 7, 'ok'))
            ->line('cold')
            ->see('Where the rung clamp stands, in rungs');
        $this
            ->armed()
            ->click('[data-place="4"]')
            ->settled()
            ->line('24', '24', '24.5')
            ->see('Next move · rung clamp', 'TOWARDS THE ENGINE');
        $this->line('+1t')->see('The rung clamp counts in rungs: +2r or -1r.');
        $this
            ->clear()
            ->clickText('I moved it differently')
            ->see('What did you move?', 'Towards the engine', 'Rungs')
            ->accessible('a move in rungs');
        $this
            ->clickText('Towards the engine')
            ->clickText('One of the rungs more')
            ->clickText('Log +1r')
            ->settled()
            ->see('1 rung towards the engine');
        self::assertSame('rung 5', $this->state()['adjusters'][0]['at_say']);
    }

    public function test_a_push_rod_is_set_in_its_order(): void
    {
        $this->as('ines')->lookedOver('QB-09', 'clutch', 'cold')->line('thread 3 mm')->line('28', '28', '28');
        $this
            ->click('[data-adjuster=push_rod]')
            ->see('Set the push rod by its steps', 'Turn the screw in, gently, until it just seats')
            ->accessible('the steps of a push rod');
        $client = new HttpClient($this->server->url);
        $client->signIn('ines', 'ferry-bell-42');
        [$status, $body] = $client->send(
            'POST',
            "jobs/{$this->job()}/entries",
            [
                'id' => '6b1d6a52-0000-4000-8000-00000000c0de',
                'at' => date('c'),
                'kind' => 'step',
                'body' => ['adjuster' => 'push_rod', 'key' => 'seat'],
            ],
        );
        self::assertSame(
            [422, 'Not yet. The push rod asks first: give the cable full slack at every adjuster.'],
            [$status, $body['detail']],
        );
        $this
            ->armed()
            ->clickText('The clutch cover plate is off')
            ->settled()
            ->see('step 1 of 5')
            ->line('ok')
            ->see('Free the lock nut of the screw')
            ->line('+1t')
            ->see('is set by its own steps, in their order', 'It asks for: free the lock nut');
        $this
            ->clear()
            ->line('ok')
            ->see('until it just seats')
            ->line('ok')
            ->see('Back it out')
            ->armed()
            ->clickText('Done')
            ->see('How far?')
            ->keys('half a turn')
            ->click('[data-ask] [type=submit]')
            ->settled();
        $this
            ->see('back it out: by the book, else 1/2 to 1 turn. half a turn')
            ->line('ok')
            ->see('Moved: pull it fully');
    }

    public function test_a_reading_at_another_point_is_converted_and_marked(): void
    {
        $this->as('ines')->lookedOver('RT-02', 'clutch', 'hot')->line('ok');
        $this
            ->choose('[data-pick=point]', 'lever_tip')
            ->see('At the lever tip')
            ->line('30', '30', '30')
            ->see('converted from the lever tip');
        self::assertEqualsWithDelta(30 * 31 / 132, $this->state()['found']['mm'], 0.01);
    }

    public function test_an_instrument_that_cannot_decide_is_named_before_anything_is_read(): void
    {
        $this->as('ines')->onBench('SN-03', 'auger', Preparation::OKS, 'cold')->line('thread 2 mm');
        $this
            ->choose('[data-pick=instrument]', 'feeler-1')
            ->see('The Feeler gauge does not reach across this band. Take the Steel rule.');
    }

    public function test_it_can_be_set_like_another_machine(): void
    {
        $this->as('tomas')->lookedOver('RT-09', 'throttle', 'hot')->line('8', '8', '8');
        $this
            ->await('[data-pick=aim] option[value^="like RT-14"]')
            ->choose('[data-pick=aim]', 'like RT-14')
            ->settled()
            ->see('Set like RT-14:');
        self::assertSame('RT-14', $this->state()['spec']['like']);
    }

    private function pick(string $field, string $value): static
    {
        return $this->choose("[data-pick={$field}]", $value)->settled();
    }

    private function choose(string $css, string $value): static
    {
        $this->element("{$css} option[value=\"{$value}\"]")->click();

        return $this;
    }

    /** What the bench says the next reading will be, to half a millimetre, as a steel rule would show it. */
    private function foretold(): string
    {
        return (string) (round(2 * ($this->state()['expected']['mm'] ?? 0.0)) / 2);
    }

    /** A lever of a machine of its own, looked over and found at 25 mm, and what is logged after that. */
    private function foundLoose(string $own, string ...$lines): static
    {
        return $this->onBench(
            $this->machineLike('RT-11', $own),
            'clutch',
            'all ok',
            ...array_fill(0, 4, 'ok'),
            ...['cold', 'thread 4 mm', '25', '25', '25'],
            ...$lines,
        );
    }
}
