<label><input type="checkbox" name="gates[enabled]" value="1" @checked($setting->isOn)> Switched on</label>:
