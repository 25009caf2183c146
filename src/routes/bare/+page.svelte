<p>A page with nothing on it.</p>
