// Whether somebody asked for the line that says what needs buttonholes: the page that has it goes there once it is shown.
export const line = $state({ wanted: false });
