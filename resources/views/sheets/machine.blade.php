@extends('sheets.page', ['title' => "History of {$machine->tag}"])
@section('foot', "Vivid Pull machine history, {$machine->tag}, printed {$printed_at}.")
@section('body')
<table class="head"><tr>
  <td style="width: 1%; padding-right: 10pt"><span class="tag">{{ $machine->tag }}</span></td>
  <td><h1>{{ $machine->name }}</h1><span class="soft">{{ implode(' · ', array_filter([$machine->kind, $machine->year, $machine->place, $machine->plate, number_format($machine->usage(), 0, '.', ' ')." {$machine->usage_unit}"])) }}</span></td>
  <td style="text-align: right"><h3 style="margin: 0">Machine history</h3></td>
</tr></table>
@foreach ($controls as $control)
<h2>{{ $control['name'] }}</h2>
<div>{{ $control['says'] }} <span class="soft">{{ $control['source'] }}</span></div>
@if ($control['tag'] !== null)<div class="outcome tagged" style="font-size: 11pt; padding: 3pt 6pt; margin: 4pt 0">Do not run: {{ $control['tag'] }}</div>@endif
@if (($control['story']['heading'] ?? null) !== null)<div style="margin: 3pt 0"><b>{{ $control['story']['heading'] }}:</b> {{ $control['story']['words'] }}</div>@endif
@if ($control['rows'] === [])
<div class="soft">No job yet.</div>
@else
<table>
  <tr><th>Day</th><th>{{ $machine->usage_unit }}</th><th>Found</th><th>Left</th><th>Outcome</th><th>Signed</th></tr>
  @foreach ($control['rows'] as $row)
  <tr>
    <td style="white-space: nowrap">{{ substr((string) ($row['closed_at'] ?? $row['opened_at']), 0, 10) }}</td>
    <td>{{ number_format($row['usage'], 0, '.', ' ') }}</td>
    <td>@if ($row['found_mm'] !== null)<img class="mark" src="{{ \App\Sheets\Drawing::mark('found') }}" alt=""> {{ \VividPull\Core\Quantity\Figure::length($row['found_mm']) }}@endif</td>
    <td>@if ($row['left_mm'] !== null)<img class="mark" src="{{ \App\Sheets\Drawing::mark('left') }}" alt=""> {{ \VividPull\Core\Quantity\Figure::length($row['left_mm'])->bare() }} ± {{ \VividPull\Core\Quantity\Figure::length((float) $row['left_expanded_mm']) }}@endif</td>
    <td>{{ ['fit' => 'fit for use', 'by_choice' => 'outside by choice', 'tagged' => 'do not run', 'checked' => 'checked, play inside'][$row['outcome'] ?? ''] ?? 'in work' }}@if ($row['reason'] !== null)<div class="small soft">{{ $row['reason'] }}</div>@endif
      @if ($row['parts'] !== [])<div class="small">new {{ implode(', ', $row['parts']) }}</div>@endif</td>
    <td>{{ $row['by'] }}</td>
  </tr>
  @endforeach
</table>
@endif
@if (($control['story']['next'] ?? null) !== null)
<div class="small" style="margin-top: 3pt"><b>Next check</b> {{ implode(', about ', array_filter([$control['story']['next']['usage'] === null ? null : number_format((float) $control['story']['next']['usage'], 0, '.', ' ')." {$machine->usage_unit}", $control['story']['next']['day']])) }}, by {{ $control['story']['next']['label'] }}.</div>
@endif
@endforeach
@endsection
