<?php

declare(strict_types=1);

namespace App\Console;

use App\Gauges\Bridges;
use App\Models\GaugeBridge;
use App\Models\User;
use Illuminate\Console\Command;
use VividPull\Core\Log\Role;

/** Gives the simulated gauges of the demo a computer of their own: a token, and the settings of a bridge in FOLDER. */
final class SimulateGauges extends Command
{
    private const NAME = 'Simulated bench computer';

    protected $signature = 'workshop:simulate {folder : where they are} {server : where the workshop is served} {port : of the one on the network} {--authority= : what the server is trusted by}';

    protected $description = 'Let the simulated gauges of the demo speak';

    public function handle(): int
    {
        $lead = User::query()->where('role', Role::Lead)->whereNull('left_at')->orderBy('id')->firstOrFail();
        foreach (GaugeBridge::query()->whereNull('ended_at')->where('name', self::NAME)->get() as $before) {
            Bridges::end($before, $lead);
        }
        [$folder, $server, $port] = array_map(
            fn (string $name): string => is_string($said = $this->argument($name)) ? $said : '',
            ['folder', 'server', 'port'],
        );
        $authority = $this->option('authority');
        file_put_contents("{$folder}/gauges.json", json_encode([
            'server' => $server, 'token' => Bridges::add(self::NAME, $lead),
            ...(is_string($authority) ? ['authority' => $authority] : []),
            'gauges' => [
                ['instrument' => 'caliper-1', 'port' => "{$folder}/caliper"],
                ['instrument' => 'pull-500', 'address' => "127.0.0.1:{$port}", 'records' => true],
            ],
        ], JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES));

        return self::SUCCESS;
    }
}
