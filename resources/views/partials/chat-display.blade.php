{{-- How chats look in this browser, the real one and the simulated one. --}}
<details class="display small"><summary>Display</summary>
    <p><label>Text <select class="blank" data-display="size" aria-label="Text size"><option value="">normal</option><option value="large">large</option><option value="larger">larger</option></select></label>
        <label><input type="checkbox" data-display="rules" value="none"> no lines between</label>
        <label><input type="checkbox" data-display="times" value="none"> no times</label></p>
</details>
