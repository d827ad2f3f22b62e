<div class="page-head"><h2>Why</h2></div>
<p class="small">This line is not remembered any more: its time is over.</p>
