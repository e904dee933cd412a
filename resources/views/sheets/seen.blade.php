@php($box = \App\Sheets\Drawing::mark('box'))
@if ($how !== null)
@if (! ($again ?? false))<div class="small">{{ $how }} @if ($conditions !== '')The figure is for: {{ $conditions }}.@endif</div>@endif
<table><tr>@foreach (['1st', '2nd', '3rd', 'Read with'] as $asked)<td style="border: 0; width: 25%"><div class="line"></div><span class="small soft">{{ $asked }}</span></td>@endforeach</tr></table>
@endif
@if ($settings !== [])
<table>@foreach ($settings as [$setting, $seen])<tr><td style="width: 22%"><b>{{ $setting }}</b></td><td>@foreach ($seen as $n => $word)<img class="mark" src="{{ $box }}" alt=""> @if ($n === 0)<b>{{ $word }}</b>@else{{ $word }}@endif &nbsp; @endforeach</td></tr>@endforeach</table>
@endif
@if ($how === null && $settings === [])<div class="small soft">No play is read on this control: what it does is tried under Prove.</div>
<table><tr><td style="border: 0"><div class="line"></div><span class="small soft">What was noticed</span></td></tr></table>@endif
