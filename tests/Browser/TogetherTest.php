<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;
use stdClass;
use Tests\Support\HttpClient;

/** Two people, second thoughts, and things left as they are on purpose. */
final class TogetherTest extends BrowserTestCase
{
    public function test_somebody_elses_move_shows_and_a_reading_across_it_is_not_judged(): void
    {
        $this->as('ines')->lookedOver('RT-11', 'throttle', 'cold')->line('8', '8', '8')->see('Next move');
        $client = new HttpClient($this->server->url);
        $client->signIn('tomas', 'dune-grass-17');
        [, $job] = $client->send('GET', "jobs/{$this->job()}");
        $seen = $job['state']['head'];
        $this->post($client, ['kind' => 'joined', 'body' => new stdClass]);
        $this->post($client, ['kind' => 'move', 'body' => ['adjuster' => 'grip', 'turns' => 1]]);
        // What Ines typed before her screen had heard of it.
        $ines = new HttpClient($this->server->url);
        $ines->signIn('oda', 'harbour-lamp-9');
        $this->see('grip adjuster out 1 turn', 'Moved: pull it fully three times and read it');
        $this->post($ines, ['kind' => 'joined', 'body' => new stdClass]);
        $this->post(
            $ines,
            ['line' => '8', 'shown' => ['pose' => 'straight', 'instrument' => 'rule-300'], 'after' => $seen],
        );
        $this->see('Two people worked on this at once: read it again.', 'Not judged');
        $this->post(
            $ines,
            [
                'kind' => 'check',
                'body' => ['key' => 'snap_shut', 'answer' => 'yes', 'pose' => 'left'],
                'after' => $seen,
            ],
        );
        $this->see(
            'Oda had not seen what Tomas did meanwhile. Asked again: Opened fully and let go: snaps shut by itself, bars full left.',
        );
    }

    public function test_back_to_as_found_turns_everything_back(): void
    {
        $this->as('ines')->lookedOver('RT-14', 'throttle', 'cold')->line('8', '8', '8')->see('Next move');
        $this
            ->line('+1t2f')
            ->see('grip adjuster in 1 turn and 2 flats')
            ->clickText('Back to as found')
            ->see('Turn these, then say so');
        $this->clickText('Turned back')->settled()->see('grip adjuster in 1 turn and 2 flats');
        $this->gone('[data-way-home]');
        self::assertSame(['move', 'move'], array_slice(array_column($this->rows(), 'kind'), -2));
    }

    public function test_another_person_in_one_tab_is_another_in_all_and_nothing_lands_under_a_wrong_name(): void
    {
        $this
            ->as('tomas')
            ->visit('/shop')
            ->click('[data-part=mine]')
            ->click('[name=new-pin]')
            ->keys('2468')
            ->click('[name=pin-password]')
            ->keys('dune-grass-17')
            ->clickText('Set the PIN')
            ->see('Saved.');
        $this->as('ines')->begin('UC-03', 'latch')->line('ok')->see('In neutral, brake set');
        $job = $this->job();
        $first = $this->browser->getWindowHandle();
        // An entry that never got out, as a lost network leaves it.
        $kept = [
            'id' => '0190a000-0000-7000-8000-00000000000a',
            'job' => $job,
            'by' => 'ines',
            'at' => '2026-03-03T08:00:00+00:00',
            'after' => '0190a000-0000-7000-8000-00000000000b',
            'draft' => ['line' => 'n mat torn', 'shown' => new stdClass],
            'state' => 'waiting',
            'sentence' => null,
        ];
        $this->browser->switchTo()->newWindow();
        $this
            ->visit('/')
            ->click('[aria-label^="Ines"]')
            ->click('[data-take-over=tomas]')
            ->click('[name=pin]')
            ->keys('2468')
            ->clickText('Take over')
            ->await('[aria-label^="Tomas"]');
        $this->browser->executeScript(
            'localStorage.setItem("vivid-pull.outbox", arguments[0])',
            [json_encode([$kept], JSON_THROW_ON_ERROR)],
        );
        $this->browser->close();
        $this->browser->switchTo()->window($first);
        $this->await('[aria-label^="Tomas"]')->see('Join this job');
        $rows = count($this->rows());
        $this
            ->visit("/jobs/{$job}")
            ->await('[data-theirs=ines]')
            ->see('One entry of Ines waits on this device until Ines signs in here again');
        self::assertCount($rows, $this->rows());
        $this->server->forget('ines');
        $this->as('ines')->visit("/jobs/{$job}")->await('#bench-line')->settled()->gone('[data-theirs]');
        $log = $this->state()['log'];
        self::assertSame(['note', 'Ines'], [$log[count($log) - 1]['kind'], $log[count($log) - 1]['by']]);
    }

    public function test_a_clutch_is_left_outside_by_choice_with_its_reason(): void
    {
        $this->as('tomas')->lookedOver('SC-11', 'clutch', 'cold')->line('3.5');
        $this
            ->line('16', '16', '16')
            ->see('too loose')
            ->clickText('Leave it outside by choice')
            ->see('Who wants it so, and why');
        $this
            ->click('#choice-reason')
            ->keys('Thick gloves, wants the later bite.')
            ->clickText('Leave it so')
            ->settled()
            ->see('Release arm loose by hand');
        $this->line('yes', 'yes', 'ok', 'ok', 'yes', 'holds', 'late', 'ok');
        $this->see('Left outside by choice')->click('[data-close=by_choice]')->see('Signed by Tomas');
        $this->visit('/machines/SC-11#clutch')->see('outside by choice', 'Thick gloves, wants the later bite.');
    }

    public function test_aiming_elsewhere_is_an_entry_like_any_other(): void
    {
        $this->as('ines')->lookedOver('SC-02', 'throttle', 'hot')->line('8', '8', '8')->see('Next move');
        $this->browser->executeScript(
            'const list = document.querySelector("select[aria-label=\"Where in the band to aim\"]"); list.value = "crisp"; list.dispatchEvent(new Event("change", { bubbles: true }))',
        );
        $this->settled()->see('Aim for the crisp side');
        self::assertSame('crisp', $this->value('select[aria-label="Where in the band to aim"]'));
    }

    public function test_an_apprentice_works_and_asks_for_the_signature(): void
    {
        $this
            ->as('mirre')
            ->startJob($this->machineLike('RT-20', 'AP-01'), 'throttle')
            ->line('ok', 'ok', 'ok', 'ok', 'ok');
        $rows = count($this->rows());
        $this
            ->armed()
            ->click('[data-answer=fault]')
            ->see('what did you see?')
            ->clickText('Back')
            ->await('[data-answer=fault]');
        $this
            ->clickText('Mirre: settings')
            ->see('Keys work anywhere')
            ->keys(WebDriverKeys::ESCAPE)
            ->gone('[role=dialog]');
        self::assertCount($rows, $this->rows(), 'going back writes nothing');
        $this->line('ok', 'ok', 'ok', 'ok')->line('hot', ...array_fill(0, 9, '4'));
        $this
            ->line('yes', 'yes', 'yes', 'yes', 'yes')
            ->line('ok', 'ok')
            ->see('Mirre signs as apprentice. Ask a technician or a lead to sign off.');
        self::assertSame('', $this->text('[data-close]'));
    }

    /** @param  array<string, mixed>  $what */
    private function post(HttpClient $client, array $what): void
    {
        $id = sprintf('%08x-0000-4000-8000-%012x', random_int(0, 0xFFFFFFFF), random_int(0, 0xFFFFFFFFFF));
        [$status, $body] = $client->send(
            'POST',
            "jobs/{$this->job()}/entries",
            $what + ['id' => $id, 'at' => date('c')],
        );
        self::assertSame(200, $status, (string) json_encode($body));
    }
}
