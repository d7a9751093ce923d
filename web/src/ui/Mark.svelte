<!-- The mark of the application, as mark.svg has it for the browser's own places. -->
<svg viewBox="0 0 32 32" width="26" height="26" aria-hidden="true">
  <rect width="32" height="32" rx="6" fill="#f4eddd" />
  <path d="M16 4v24" stroke="#26356b" stroke-width="2.4" />
  <path d="M11 6h10M11 26h10" stroke="#26356b" stroke-width="2.4" stroke-linecap="round" />
  <path d="M11.5 9.5v13M20.5 9.5v13" stroke="#26356b" stroke-width="3" stroke-dasharray="1.2 1" />
</svg>
