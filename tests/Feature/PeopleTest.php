<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Audit;
use App\Models\User;
use App\People\Password;
use Database\Demo\DemoPeople;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Support\HttpJob;
use Tests\TestCase;

/** People of the shop: kept by a lead, changed over on a shared tablet by PIN, seen in what was done. */
final class PeopleTest extends TestCase
{
    private const TABLET = 'aaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaa';

    private const PASSWORDS = ['mirre' => 'tide-table-31', 'oda' => 'harbour-lamp-9'];

    public function test_a_lead_adds_somebody_whose_password_is_shown_once_and_works(): void
    {
        $made = $this
            ->signIn('oda')
            ->postJson('/api/people', ['login' => 'Bo.R', 'name' => 'Bo', 'role' => 'technician'])
            ->assertCreated();
        $password = $made->json('password');
        $this->postJson('/api/people', ['login' => 'bo.r', 'name' => 'Another', 'role' => 'viewer'])->assertConflict();
        $this->postJson('/api/people', ['login' => '9', 'name' => 'x', 'role' => 'viewer'])->assertUnprocessable();
        $this->postJson('/api/people', ['login' => 'jo', 'name' => 'x', 'role' => 'king'])->assertUnprocessable();
        self::assertTrue(Hash::check(
            $password,
            User::query()->where('login', 'bo.r')->firstOrFail()->getAuthPassword(),
        ));
        self::assertStringNotContainsString($password, (string) json_encode($this->getJson('/api/people')->json()));
        $this
            ->postJson('/api/session', ['login' => 'bo.r', 'password' => $password])
            ->assertOk()
            ->assertJsonPath('user.role', 'technician');
    }

    public function test_who_left_cannot_sign_in_and_is_signed_out_at_once_and_keeps_their_name(): void
    {
        $job = HttpJob::open($this->signIn('mirre'));
        $this
            ->signIn('oda')
            ->putJson('/api/people/mirre', ['name' => 'Mirre', 'role' => 'apprentice', 'here' => false])
            ->assertOk();
        $this->postJson('/api/session', ['login' => 'mirre', 'password' => 'tide-table-31'])->assertUnprocessable();
        $this->signIn('mirre')->getJson('/api/bench')->assertUnauthorized();
        $this->signIn('oda');
        self::assertContains('Mirre', array_column($this->getJson("/api/jobs/{$job->id}")->json('people'), 'name'));
        $this->putJson('/api/people/mirre', ['name' => 'Mirre', 'role' => 'technician', 'here' => true])->assertOk();
        self::assertSame(
            ['person changed', 'person left'],
            array_column(array_slice($this->getJson('/api/audit')->json('audits'), 0, 2), 'action'),
        );
    }

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function lastLead(): iterable
    {
        yield 'becomes a technician' => [['name' => 'Oda', 'role' => 'technician', 'here' => true]];
        yield 'leaves' => [['name' => 'Oda', 'role' => 'lead', 'here' => false]];
    }

    /** @param  array<string, mixed>  $body */
    #[DataProvider('lastLead')]
    public function test_the_last_lead_stays_one(array $body): void
    {
        $this
            ->signIn('oda')
            ->putJson('/api/people/oda', $body)
            ->assertUnprocessable()
            ->assertJsonPath('detail', 'Oda is the only lead here. Make somebody else a lead first.');
        $this->putJson('/api/people/ines', ['name' => 'Ines', 'role' => 'lead', 'here' => true])->assertOk();
        $this->putJson('/api/people/oda', $body)->assertOk();
    }

    /** @return iterable<string, array{string, int, string}> */
    public static function names(): iterable
    {
        yield 'one that turns the writing round' => [
            "Bo\u{202E}adO",
            422,
            'a name holds letters, digits and signs that can be seen',
        ];
        yield 'one that cannot be seen' => [
            "O\u{200B}da",
            422,
            'a name holds letters, digits and signs that can be seen',
        ];
        yield 'the name of somebody else' => ['Oda', 409, 'Somebody here is called Oda already'];
        yield 'the same with an accent and a blank' => [' ÓDA ', 409, 'Somebody here is called Oda already'];
    }

    #[DataProvider('names')]
    public function test_nobody_is_called_so_that_a_signature_could_be_taken_for_another(
        string $name,
        int $status,
        string $says,
    ): void {
        $added = $this
            ->signIn('oda')
            ->postJson('/api/people', ['login' => 'bo.x', 'name' => $name, 'role' => 'technician'])
            ->assertStatus($status);
        self::assertStringContainsString($says, (string) $added->json('detail'));
        $changed = $this
            ->putJson('/api/people/ines', ['name' => $name, 'role' => 'technician', 'here' => true])
            ->assertStatus($status);
        self::assertStringContainsString($says, (string) $changed->json('detail'));
        $this->putJson('/api/people/oda', ['name' => 'Oda', 'role' => 'lead', 'here' => true])->assertOk();
    }

    public function test_names_in_any_writing_are_told_apart(): void
    {
        $this
            ->signIn('oda')
            ->postJson('/api/people', ['login' => 'one.x', 'name' => '海', 'role' => 'viewer'])
            ->assertCreated();
        $this->postJson('/api/people', ['login' => 'two.x', 'name' => '山', 'role' => 'viewer'])->assertCreated();
        $this->postJson('/api/people', ['login' => 'three.x', 'name' => '海', 'role' => 'viewer'])->assertConflict();
    }

    public function test_a_tablet_changes_hands_by_pin(): void
    {
        $this->onTablet('mirre');
        $this
            ->signIn('mirre')
            ->putJson('/api/session/pin', ['pin' => '4826', 'password' => self::PASSWORDS['mirre']])
            ->assertNoContent();
        self::assertStringNotContainsString('4826', (string) User::query()->where('login', 'mirre')->value('pin'));
        $this
            ->signIn('ines')
            ->postJson('/api/session/person', ['login' => 'mirre', 'pin' => '4827'])
            ->assertUnprocessable();
        $this->getJson('/api/session')->assertJsonPath('user.id', 'ines');
        $this
            ->postJson('/api/session/person', ['login' => 'mirre', 'pin' => '4826'])
            ->assertOk()
            ->assertJsonPath('user.id', 'mirre');
        $this->getJson('/api/session')->assertJsonPath('user.id', 'mirre');
        $this->postJson('/api/session/person', ['login' => 'tomas', 'pin' => '1111'])->assertUnprocessable();
        $this->putJson('/api/session/pin', ['pin' => null, 'password' => self::PASSWORDS['mirre']])->assertNoContent();
    }

    public function test_five_wrong_pins_lock_it_until_its_owner_signs_in_with_the_password(): void
    {
        $this->onTablet('mirre');
        $this
            ->signIn('mirre')
            ->putJson('/api/session/pin', ['pin' => '4826', 'password' => self::PASSWORDS['mirre']])
            ->assertNoContent();
        $this->signIn('office');
        for ($try = 0; $try < 5; $try++) {
            $this->postJson('/api/session/person', ['login' => 'mirre', 'pin' => "000{$try}"])->assertUnprocessable();
        }
        $this->travel(61)->seconds();
        $answer = $this->postJson('/api/session/person', ['login' => 'mirre', 'pin' => '4826'])->assertUnprocessable();
        self::assertSame(
            'The PIN of Mirre is locked after 5 wrong tries. Signing in with the password opens it again.',
            $answer->json('detail'),
        );
        $this->travel(61)->seconds();
        $this->postJson('/api/session', ['login' => 'mirre', 'password' => 'tide-table-31'])->assertOk();
        $this
            ->signIn('office')
            ->postJson('/api/session/person', ['login' => 'mirre', 'pin' => '4826'])
            ->assertOk()
            ->assertJsonPath('user.id', 'mirre');
        $this->flushSession();
        $actions = array_column($this->signIn('oda')->getJson('/api/audit')->json('audits'), 'action');
        self::assertSame(
            ['took over', 'PIN missed', 'PIN missed', 'PIN missed', 'PIN missed', 'PIN missed'],
            array_slice($actions, 0, 6),
        );
    }

    public function test_a_lead_who_took_over_by_pin_is_no_lead_until_the_password_is_shown(): void
    {
        $this->onTablet('oda');
        $this
            ->signIn('oda')
            ->putJson('/api/session/pin', ['pin' => '4826', 'password' => self::PASSWORDS['oda']])
            ->assertNoContent();
        $this
            ->signIn('office')
            ->postJson('/api/session/person', ['login' => 'oda', 'pin' => '4826'])
            ->assertOk()
            ->assertJsonPath('user.role', 'technician')
            ->assertJsonPath('user.asks_password', true);
        $this
            ->getJson('/api/session')
            ->assertJsonPath('user.may_keep_shop', false)
            ->assertJsonPath('user.asks_password', true);
        $refused = $this
            ->postJson('/api/people', ['login' => 'bo.x', 'name' => 'Bo', 'role' => 'lead'])
            ->assertForbidden();
        self::assertSame(
            'Oda took over by PIN, and this asks for the password. Type it under the name at the top.',
            $refused->json('detail'),
        );
        $this
            ->postJson('/api/session', ['login' => 'oda', 'password' => 'harbour-lamp-9'])
            ->assertOk()
            ->assertJsonPath('user.role', 'lead')
            ->assertJsonPath('user.asks_password', false);
        $this->postJson('/api/people', ['login' => 'bo.x', 'name' => 'Bo', 'role' => 'viewer'])->assertCreated();
        self::assertSame(
            'lead',
            User::query()->where('login', 'oda')->firstOrFail()->role->value,
            'nothing of it was stored',
        );
    }

    public function test_pins_are_guessed_only_so_often(): void
    {
        for ($try = 0; $try < 6; $try++) {
            $this
                ->signIn('ines')
                ->postJson('/api/session/person', ['login' => 'mirre', 'pin' => "000{$try}"])
                ->assertUnprocessable();
        }
        $this->postJson('/api/session/person', ['login' => 'mirre', 'pin' => '4826'])->assertTooManyRequests();
    }

    public function test_a_pin_works_only_where_its_owner_once_showed_the_password(): void
    {
        $this->onTablet('mirre');
        $this
            ->signIn('mirre')
            ->putJson('/api/session/pin', ['pin' => '4826', 'password' => self::PASSWORDS['mirre']])
            ->assertNoContent();
        $take = ['login' => 'mirre', 'pin' => '4826'];
        $this->withCookie('vivid_device', str_repeat('z', 40));
        $refused = $this->signIn('office')->postJson('/api/session/person', $take)->assertUnprocessable();
        self::assertSame(
            'Mirre has not signed in with the password on this device. Once that is done, the PIN takes over here.',
            $refused->json('detail'),
        );
        self::assertSame(
            0,
            (int) User::query()->where('login', 'mirre')->value('pin_misses'),
            'a stranger\'s device does not lock it',
        );
        $this->withCookie('vivid_device', 'nonsense; drop');
        $this->signIn('office')->postJson('/api/session/person', $take)->assertUnprocessable();
        $this->withCookie('vivid_device', self::TABLET);
        $this->signIn('office')->postJson('/api/session/person', $take)->assertOk();
    }

    public function test_a_pin_is_set_only_with_the_password_and_goes_with_it(): void
    {
        $this->onTablet('mirre');
        $this
            ->signIn('mirre')
            ->putJson('/api/session/pin', ['pin' => '4826', 'password' => 'guess'])
            ->assertUnprocessable()
            ->assertJsonPath('detail', 'That is not your password. A PIN is set only with it.');
        $this
            ->putJson('/api/session/pin', ['pin' => '4826', 'password' => self::PASSWORDS['mirre']])
            ->assertNoContent();
        $this
            ->putJson('/api/session/password', ['now' => self::PASSWORDS['mirre'], 'next' => 'long enough words'])
            ->assertNoContent();
        self::assertNull(User::query()->where('login', 'mirre')->value('pin'));
        $this
            ->signIn('office')
            ->postJson('/api/session/person', ['login' => 'mirre', 'pin' => '4826'])
            ->assertUnprocessable();
        $actions = array_column($this->signIn('oda')->getJson('/api/audit')->json('audits'), 'action');
        self::assertContains('own PIN set', $actions);
    }

    public function test_a_new_password_is_shown_anew_on_every_other_device(): void
    {
        $this
            ->withCredentials()
            ->withCookie('vivid_device', str_repeat('b', 40))
            ->postJson('/api/session', ['login' => 'mirre', 'password' => self::PASSWORDS['mirre']])
            ->assertOk();
        $this->onTablet('mirre');
        $devices = DB::table('device_people')->count();
        $this
            ->signIn('mirre')
            ->putJson('/api/session/password', ['now' => self::PASSWORDS['mirre'], 'next' => 'long enough words'])
            ->assertNoContent();
        self::assertSame($devices - 1, DB::table('device_people')->count());
        $this->signIn('oda')->postJson('/api/people/mirre/password')->assertOk();
        self::assertSame($devices - 2, DB::table('device_people')->count());
    }

    /** @return iterable<string, array{string, string}> */
    public static function poorPasswords(): iterable
    {
        yield 'short' => ['nine-sign', 'at least 10 letters'];
        yield 'longer than is read' => [str_repeat('word ', 15), 'at most 72 bytes; this one has 75'];
        yield 'accents count more' => [str_repeat('éàü', 13), 'at most 72 bytes; this one has 78'];
        yield 'with a character that ends it' => ["long enough\0words", 'that can be typed'];
        yield 'the first of all' => ['password123', 'one of the first that anybody would try'];
        yield 'with signs about it' => ['!!Qwertyuiop2024', 'one of the first that anybody would try'];
        yield 'a run of keys' => ['1234567890', 'one of the first that anybody would try'];
        yield 'one word again and again' => ['tidetidetide', 'one of the first that anybody would try'];
        yield 'one letter' => ['aaaaaaaaaaaa', 'one of the first that anybody would try'];
        yield 'the own name' => ['Mirre-123456', 'made of your own name'];
    }

    #[DataProvider('poorPasswords')]
    public function test_a_poor_password_is_refused_with_its_reason(string $next, string $why): void
    {
        $refused = $this
            ->signIn('mirre')
            ->putJson('/api/session/password', ['now' => self::PASSWORDS['mirre'], 'next' => $next])
            ->assertUnprocessable();
        self::assertStringContainsString($why, (string) $refused->json('detail'));
    }

    public function test_every_password_of_the_demo_would_do(): void
    {
        foreach (DemoPeople::ALL as [$login, $name, , $password]) {
            Password::check($password, new User(['login' => $login, 'name' => $name]));
        }
        self::assertGreaterThan(150, count((array) file(resource_path('passwords/common.txt'))));
    }

    /** @return iterable<string, array{string}> */
    public static function poorPins(): iterable
    {
        yield 'too short' => ['482'];
        yield 'letters' => ['48a6'];
        yield 'one digit' => ['7777'];
        yield 'counted up' => ['3456'];
        yield 'counted down' => ['9876'];
    }

    #[DataProvider('poorPins')]
    public function test_a_poor_pin_is_refused(string $pin): void
    {
        $this
            ->signIn('mirre')
            ->putJson('/api/session/pin', ['pin' => $pin, 'password' => self::PASSWORDS['mirre']])
            ->assertUnprocessable();
    }

    public function test_a_password_is_changed_by_who_knows_it_or_made_anew_by_a_lead(): void
    {
        $this
            ->signIn('mirre')
            ->putJson('/api/session/password', ['now' => 'wrong', 'next' => 'long enough words'])
            ->assertUnprocessable();
        $this->putJson('/api/session/password', ['now' => 'tide-table-31', 'next' => 'short'])->assertUnprocessable();
        $mirre = User::query()->where('login', 'mirre')->firstOrFail()->id;
        $oda = User::query()->where('login', 'oda')->firstOrFail()->id;
        foreach (['lost-phone' => $mirre, 'leads-tablet' => $oda] as $id => $user) {
            DB::table('sessions')->insert([
                'id' => $id,
                'user_id' => $user,
                'payload' => '',
                'last_activity' => time(),
            ]);
        }
        $this
            ->putJson('/api/session/password', ['now' => 'tide-table-31', 'next' => 'long enough words'])
            ->assertNoContent();
        self::assertSame(
            ['leads-tablet'],
            DB::table('sessions')->whereIn('id', ['lost-phone', 'leads-tablet'])->pluck('id')->all(),
            'whoever has the old password is out',
        );
        $this->postJson('/api/session', ['login' => 'mirre', 'password' => 'long enough words'])->assertOk();
        $fresh = $this->signIn('oda')->postJson('/api/people/mirre/password')->assertOk()->json('password');
        $this->postJson('/api/session', ['login' => 'mirre', 'password' => 'long enough words'])->assertUnprocessable();
        $this->postJson('/api/session', ['login' => 'mirre', 'password' => $fresh])->assertOk();
    }

    public function test_sessions_are_listed_without_their_ids_and_ended(): void
    {
        $ines = User::query()->where('login', 'ines')->firstOrFail();
        DB::table('sessions')->insert([
            'id' => 'secret-session-id',
            'user_id' => $ines->id,
            'ip_address' => '192.0.2.7',
            'user_agent' => 'Mozilla (iPhone)',
            'payload' => '',
            'last_activity' => time(),
        ]);
        $listed = $this->signIn('ines')->getJson('/api/sessions')->assertOk();
        self::assertSame(['Ines', 'iPhone'], [$listed->json('sessions.0.name'), $listed->json('sessions.0.device')]);
        self::assertStringNotContainsString('secret-session-id', (string) $listed->getContent());
        $key = $listed->json('sessions.0.key');
        $this->signIn('tomas')->deleteJson("/api/sessions/{$key}")->assertNotFound();
        self::assertSame([], $this->getJson('/api/sessions')->json('sessions'), 'others are not his to see');
        $this->signIn('oda')->deleteJson("/api/sessions/{$key}")->assertOk();
        self::assertSame(0, DB::table('sessions')->where('id', 'secret-session-id')->count());
    }

    public function test_a_lead_corrects_a_closed_job_by_a_linked_one_and_the_signed_stays(): void
    {
        $job = HttpJob::open($this->signIn('tomas'));
        $this
            ->signIn('oda')
            ->postJson("/api/jobs/{$job->id}/correction", ['id' => (string) Str::uuid(), 'why' => 'too early'])
            ->assertConflict();
        $this->signIn('tomas');
        $job->line('tag for the test')->assertOk();
        $job->body('closed', ['outcome' => 'tagged'])->assertOk();
        $before = DB::table('entries')->where('job_id', $job->id)->orderBy('seq')->get()->toJson();
        $id = (string) Str::uuid();
        $this
            ->signIn('oda')
            ->postJson("/api/jobs/{$job->id}/correction", ['id' => $id, 'why' => 'read at the wrong lever'])
            ->assertCreated()
            ->assertJsonPath('corrects', $job->id);
        $this
            ->postJson("/api/jobs/{$job->id}/correction", ['id' => $id, 'why' => 'read at the wrong lever'])
            ->assertOk();
        $this
            ->postJson("/api/jobs/{$job->id}/correction", ['id' => (string) Str::uuid(), 'why' => ''])
            ->assertUnprocessable();
        self::assertStringContainsString(
            'read at the wrong lever',
            (string) json_encode($this->getJson("/api/jobs/{$id}")->json('state.log')),
        );
        self::assertSame($before, DB::table('entries')->where('job_id', $job->id)->orderBy('seq')->get()->toJson());
    }

    public function test_a_handover_is_told_to_whoever_carries_on(): void
    {
        $job = HttpJob::open($this->signIn('ines'));
        $job->body('note', ['text' => 'Handover: cover is off, bolts in the blue tray'])->assertOk();
        self::assertSame(
            'cover is off, bolts in the blue tray',
            $this->signIn('tomas')->getJson('/api/bench')->json('carry_on.control.handover'),
        );
        $job->body('joined', [])->assertOk();
        self::assertNull($this->getJson('/api/bench')->json('carry_on.control.handover'), 'somebody went on');
    }

    public function test_what_was_done_to_the_shop_is_read_page_by_page(): void
    {
        $this->signIn('oda');
        for ($n = 0; $n < 101; $n++) {
            Audit::note(null, 'test', "line {$n}");
        }
        $first = $this->getJson('/api/audit')->assertOk()->json();
        self::assertSame([true, 'line 100'], [$first['more'], $first['audits'][0]['about']]);
        self::assertSame(
            'line 0',
            $this->getJson('/api/audit?before='.end($first['audits'])['id'])->json('audits.0.about'),
        );
        $this->getJson('/api/audit?before=x')->assertOk();
    }

    /** A shared tablet on which these have shown their passwords. */
    private function onTablet(string ...$logins): void
    {
        $this->withCredentials()->withCookie('vivid_device', self::TABLET);
        foreach ($logins as $login) {
            $this->postJson('/api/session', ['login' => $login, 'password' => self::PASSWORDS[$login]])->assertOk();
        }
    }
}
