<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\EntryRow;
use Illuminate\Support\Facades\Hash;
use Tests\Support\HttpJob;
use Tests\TestCase;

final class SessionTest extends TestCase
{
    public function test_looking_at_a_page_begins_no_session(): void
    {
        foreach (['/', '/machines/RT-14', '/nowhere'] as $page) {
            $answer = $this->get($page)->assertOk()->assertHeader('Content-Security-Policy');
            self::assertSame([], $answer->headers->getCookies(), $page);
        }
        self::assertNotSame(
            [],
            $this->getJson('/api/session')->headers->getCookies(),
            'whoever signs in gets their token here',
        );
    }

    public function test_nobody_is_signed_in_at_first(): void
    {
        $this->getJson('/api/session')->assertOk()->assertExactJson(['user' => null, 'demo' => []]);
    }

    public function test_the_demo_offers_its_sign_ins_and_a_real_workshop_none(): void
    {
        config(['app.demo' => true]);
        self::assertSame('ines', $this->getJson('/api/session')->json('demo.0.login'));
        config(['app.demo' => false]);
        self::assertSame([], $this->getJson('/api/session')->json('demo'));
    }

    public function test_a_browsers_own_request_for_an_icon_begins_no_session(): void
    {
        $response = $this->get('/favicon.ico')->assertRedirect('/icon.svg');
        self::assertSame([], $response->headers->getCookies());
    }

    public function test_name_and_password_sign_in_and_out(): void
    {
        $this->postJson('/api/session', ['login' => 'oda', 'password' => 'harbour-lamp-9'])->assertOk()
            ->assertJsonPath('user.name', 'Oda')->assertJsonPath('user.may_lift_tag', true);
        $this->getJson('/api/session')->assertJsonPath('user.id', 'oda');
        $this->deleteJson('/api/session')->assertNoContent();
        $this->app['auth']->forgetGuards();
        $this->getJson('/api/session')->assertJsonPath('user', null);
    }

    public function test_a_wrong_password_gets_a_sentence(): void
    {
        $this->postJson('/api/session', ['login' => 'oda', 'password' => 'guess'])->assertStatus(422)
            ->assertJsonPath(
                'detail',
                'That name and password do not go together. Try again, or ask the lead for a new password.',
            );
        $this->postJson('/api/session', ['login' => 'nobody', 'password' => 'guess'])->assertStatus(422);
        $this->postJson('/api/session', ['login' => ['oda'], 'password' => 'guess'])->assertStatus(422);
        $this->raw('POST', '/api/session', '{"login":')->assertStatus(400);
    }

    public function test_guessing_is_slowed_down(): void
    {
        for ($i = 0; $i < 6; $i++) {
            $this->postJson('/api/session', ['login' => 'tomas', 'password' => "guess {$i}"])->assertStatus(422);
        }
        $this->postJson('/api/session', ['login' => 'tomas', 'password' => 'dune-grass-17'])->assertStatus(429)
            ->assertJsonPath('detail', 'Too many tries. Wait a minute and try again.')->assertHeader('Retry-After');
    }

    public function test_blanks_capitals_and_accents_are_the_same_name_and_the_same_count(): void
    {
        foreach (['tomas', 'Tomas', ' tomas ', 'tómas', "tomas\t", 'TOMÁS'] as $n => $typed) {
            $this->postJson('/api/session', ['login' => $typed, 'password' => "guess {$n}"])->assertStatus(422);
        }
        $this->postJson('/api/session', ['login' => 'tomäs', 'password' => 'dune-grass-17'])->assertStatus(429);
        $this->travel(61)->seconds();
        $this
            ->postJson('/api/session', ['login' => ' Tomas', 'password' => 'dune-grass-17'])
            ->assertOk()
            ->assertJsonPath('user.id', 'tomas');
    }

    public function test_an_attacker_elsewhere_does_not_lock_out_the_person_on_their_own_device(): void
    {
        $own = ['login' => 'tomas', 'password' => 'dune-grass-17'];
        $this
            ->withCredentials()
            ->withCookie('vivid_device', str_repeat('a', 40))
            ->postJson('/api/session', $own)
            ->assertOk();
        $this->withCookie('vivid_device', str_repeat('b', 40));
        for ($i = 0; $i < 7; $i++) {
            $this->postJson('/api/session', ['login' => 'tomas', 'password' => "guess {$i}"]);
        }
        $this->postJson('/api/session', $own)->assertStatus(429);
        $this->withCookie('vivid_device', str_repeat('a', 40))->postJson('/api/session', $own)->assertOk();
    }

    public function test_one_name_is_guessed_only_so_often_from_however_many_addresses(): void
    {
        for ($i = 0; $i < 12; $i++) {
            $this
                ->withServerVariables(['REMOTE_ADDR' => "192.0.2.{$i}"])
                ->postJson('/api/session', ['login' => 'tomas', 'password' => "guess {$i}"])
                ->assertStatus(422);
        }
        $this
            ->withServerVariables(['REMOTE_ADDR' => '192.0.2.99'])
            ->postJson('/api/session', ['login' => 'tomas', 'password' => 'x'])
            ->assertStatus(429);
    }

    public function test_a_name_that_nobody_has_costs_the_server_as_much(): void
    {
        $counting = new class
        {
            public int $made = 0;

            public function make(): string
            {
                return (string) ++$this->made;
            }
        };
        Hash::swap($counting);
        $this->postJson('/api/session', ['login' => 'nobody-here', 'password' => 'guess'])->assertStatus(422);
        self::assertSame(1, $counting->made, 'one hash, as one check of a password is');
    }

    public function test_an_entry_carries_the_device_it_was_written_on(): void
    {
        $this->withCredentials()->withCookie('vivid_device', str_repeat('a', 40));
        HttpJob::open($this->signIn())->line('n torn boot')->assertOk();
        self::assertSame(
            [substr(hash('sha256', str_repeat('a', 40)), 0, 12)],
            EntryRow::query()->where('kind', 'note')->where('line', 'n torn boot')->pluck('device')->all(),
        );
    }

    public function test_without_signing_in_nothing_else_answers(): void
    {
        $id = '00000000-0000-4000-8000-000000000000';
        foreach (['bench', 'machines', 'machines/RT-14', "jobs/{$id}", "jobs/{$id}/file"] as $path) {
            $this
                ->getJson("/api/{$path}")
                ->assertUnauthorized()
                ->assertJsonPath('detail', 'Your session has ended. Sign in again; what you typed is kept.');
        }
        foreach (['shelf', "jobs/{$id}/alike"] as $path) {
            $this->getJson("/api/{$path}")->assertUnauthorized();
        }
        $this->putJson('/api/shelf/caliper-1', [])->assertUnauthorized();
        $this->deleteJson('/api/shelf/caliper-1')->assertUnauthorized();
        $this->postJson('/api/machines/RT-14/jobs', [])->assertUnauthorized();
        $this->postJson("/api/jobs/{$id}/entries", [])->assertUnauthorized();
        $this->deleteJson('/api/session')->assertUnauthorized();
    }

    public function test_a_change_without_the_token_is_refused(): void
    {
        $this->signIn();
        $this->app->detectEnvironment(static fn (): string => 'production');
        foreach ([
            ['POST', 'session'],
            ['DELETE', 'session'],
            ['POST', 'machines/RT-14/jobs'],
            ['POST', 'jobs/x/entries'],
            ['PUT', 'shelf/x'],
            ['DELETE', 'shelf/x'],
        ] as [$method, $path]) {
            $this->json($method, "/api/{$path}", [])->assertStatus(419)
                ->assertJsonPath(
                    'detail',
                    'This page is older than its session. Load it again; what you typed is kept.',
                );
        }
    }
}
