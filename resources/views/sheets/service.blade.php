@extends('sheets.page', ['title' => "Service of {$machine->tag}"])
@section('foot', "Vivid Pull service sheet, {$machine->tag}, printed {$printed_at}.")
@section('body')
<table class="head"><tr>
  <td style="width: 1%; padding-right: 10pt"><span class="tag">{{ $machine->tag }}</span></td>
  <td><h1>{{ $machine->name }}</h1><span class="soft">{{ $service['minutes'] }} min planned</span></td>
  <td style="text-align: right"><h3 style="margin: 0">Service</h3></td>
</tr></table>
<h2>In this order</h2>
<table>
  <tr><th></th><th>Control</th><th>Held against</th><th>Min</th><th>Today</th></tr>
  @foreach ($service['stops'] as $n => $stop)
  <tr>
    <td style="width: 14pt">{{ $n + 1 }}</td>
    <td><b>{{ $stop['control']['name'] }}</b>@if ($stop['covers_shared'] !== [])<div class="small soft">{{ implode(', ', $stop['covers_shared']) }} off already</div>@endif
      @if ($stop['control']['tag'] !== null)<div class="small"><b>Do not run:</b> {{ $stop['control']['tag']['reason'] }}</div>@endif</td>
    <td>{{ $service['kit']['figures'][$n]['says'] }}@if ($stop['control']['engine'] !== null), {{ $stop['control']['engine'] }}@endif</td>
    <td>{{ $stop['minutes'] }}</td>
    <td>{{ $stop['done'] === null ? ($stop['control']['stage'] ?? '') : (['fit' => 'fit for use', 'by_choice' => 'outside by choice', 'tagged' => 'do not run', 'checked' => 'checked, play inside'][$stop['done']['outcome'] ?? ''] ?? 'signed') }}
      @if ($stop['done'] !== null && $stop['control']['left_mm'] !== null)<div class="small">left {{ \VividPull\Core\Quantity\Figure::length($stop['control']['left_mm']) }}</div>@endif</td>
  </tr>
  @endforeach
</table>
<h2>To lay out first</h2>
<table>
  @foreach ($service['kit']['tools'] as $one)
  <tr><td style="width: 12pt"><img class="mark" src="{{ \App\Sheets\Drawing::mark('box') }}" alt=""></td><td><b>{{ $one['what'] }}</b></td><td class="soft">{{ implode('; ', $one['for']) }}</td></tr>
  @endforeach
  @foreach ($service['kit']['instruments'] as $one)
  <tr><td style="width: 12pt"><img class="mark" src="{{ \App\Sheets\Drawing::mark('box') }}" alt=""></td><td><b>{{ $one['what'] === '' ? 'An instrument finer than any here' : $one['what'] }}</b></td><td class="soft">{{ lcfirst(implode('; ', $one['for'])) }}</td></tr>
  @endforeach
  @foreach ($service['kit']['consumables'] as $one)
  <tr><td style="width: 12pt"><img class="mark" src="{{ \App\Sheets\Drawing::mark('box') }}" alt=""></td><td><b>{{ ucfirst($one['what']) }}</b></td><td class="soft">{{ lcfirst(implode('; ', $one['for'])) }}</td></tr>
  @endforeach
  @foreach ($service['kit']['covers'] as $one)
  <tr><td style="width: 12pt"><img class="mark" src="{{ \App\Sheets\Drawing::mark('box') }}" alt=""></td><td><b>{{ ucfirst($one['what']) }} off</b></td><td class="soft">{{ (int) round($one['minutes']) }} min</td></tr>
  @endforeach
  @foreach ($service['kit']['torques'] as $one)
  <tr><td style="width: 12pt"><img class="mark" src="{{ \App\Sheets\Drawing::mark('box') }}" alt=""></td><td><b>{{ \VividPull\Core\Quantity\Figure::torque($one['nm']) }}</b></td><td class="soft">{{ $one['what'] }}, {{ lcfirst($one['of']) }}</td></tr>
  @endforeach
</table>
<div class="note">Engine off and key out before each control. The machine's own manual and local law win over anything printed here.</div>
@endsection
