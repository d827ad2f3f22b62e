<p class="line-field"><label for="occasion-coming">A bare “10 days” is</label><select id="occasion-coming" name="coming"><option value="0" @selected(! $value('coming'))>10 days ago</option><option value="1" @selected($value('coming'))>in 10 days</option></select></p>
<p><label><input type="checkbox" name="yearly" value="1" @checked($value('yearly'))> It comes again each year</label></p>
<p class="small">Set it on this page, or by a response: [set occasion.{{ $value('name') ?: '…' }} to now], [set occasion.{{ $value('name') ?: '…' }} to words].</p>
