<p>Nothing.</p>
