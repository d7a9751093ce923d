// The handwork of each stage in a few drawn beats, for whoever does it for the first time. The drawing is that of the step
// it belongs to.
export type Beat = { drawing: string; says: string };

export const HOW_TO: Record<string, { title: string; beats: Beat[] }> = {
  cloth: {
    title: 'How to measure your fabric',
    beats: [
      { drawing: 'test-sew', says: 'Fold a scrap as it will lie at the buttonhole, with its interfacing.' },
      { drawing: 'mark', says: 'Fold it on until the pile is 10 mm high. Count the layers.' },
      { drawing: 'note', says: 'Divide 10 by that count: so many millimetres is one layer.' },
      { drawing: 'tear', says: 'Pull 10 cm of it along the buttonhole. How far does it stretch?' },
    ],
  },
  button: {
    title: 'How to measure a button',
    beats: [
      { drawing: 'mark', says: 'Lay it on the ruler and read across its widest part.' },
      { drawing: 'clamp', says: 'Stack four buttons. Divide the height by four: that is one thickness.' },
      {
        drawing: 'tear',
        says: 'No caliper? Wrap a strip of paper round it and mark where it meets.',
      },
      { drawing: 'note', says: 'Half of that length is what has to pass through.' },
    ],
  },
  opening: {
    title: 'How to check the length',
    beats: [
      { drawing: 'test-sew', says: 'Cut a slit of that length in a scrap of the same fabric.' },
      { drawing: 'button', says: 'Push the button through. It should pass without force, and stay.' },
      {
        drawing: 'mark',
        says: 'Too tight: add half a millimetre. It slips out: take half a millimetre away.',
      },
    ],
  },
  placket: {
    title: 'How to find the places',
    beats: [
      { drawing: 'try-on', says: 'Try it on. Put a pin where it pulls most: a button belongs there.' },
      { drawing: 'mark', says: 'Measure every place from the top edge, never from the place before.' },
      { drawing: 'pins', says: 'Pin the strip along the edge and mark through it.' },
      { drawing: 'foot', says: 'Seam in the way? The foot needs flat fabric behind and in front.' },
    ],
  },
  recipe: {
    title: 'How to set your machine',
    beats: [
      { drawing: 'needle', says: 'Put in a new needle of the size that is shown.' },
      { drawing: 'thread', says: 'Thread with the presser foot up. Use the same thread on the bobbin.' },
      { drawing: 'settings', says: 'Turn each dial to its figure, width first.' },
      { drawing: 'stabilise', says: 'Put the stabiliser where it is shown: inside, or under the fabric.' },
    ],
  },
  swatch: {
    title: 'How to sew a test',
    beats: [
      { drawing: 'test-sew', says: 'Take the same layers, the same grain and the same stabiliser.' },
      { drawing: 'look', says: 'Look at it in daylight: both sides, both ends, and the back.' },
      { drawing: 'mark', says: 'Measure the slit between the two ends, on the inside.' },
      { drawing: 'open', says: 'Cut it open and push the button through.' },
    ],
  },
  sewing: {
    title: 'How to cut a buttonhole open',
    beats: [
      { drawing: 'seal', says: 'Seal the cut line first if the fabric frays. Let it dry.' },
      { drawing: 'pins', says: 'Pin across, just inside each end. The pins stop the blade.' },
      { drawing: 'open', says: 'Cut from one end to the middle, then from the other end to the middle.' },
      { drawing: 'button', says: 'Try the button before you cut the next one.' },
    ],
  },
  attach: {
    title: 'How to make a thread shank',
    beats: [
      { drawing: 'spacer', says: 'Lay a matchstick on the button and sew over it.' },
      { drawing: 'button', says: 'Pull it out and lift the button to the end of its thread.' },
      { drawing: 'tails', says: 'Wind the thread five times round, between button and fabric.' },
      { drawing: 'hand-thread', says: 'Take the ends to the back and knot them.' },
    ],
  },
  print: {
    title: 'How to print at true size',
    beats: [
      { drawing: 'note', says: 'Choose 100 % or “actual size” in the print window, never “fit to page”.' },
      { drawing: 'mark', says: 'Measure the check line with your ruler before you use the strip.' },
      { drawing: 'open', says: 'Cut along the edge line and join the pages at their crosses.' },
    ],
  },
};
