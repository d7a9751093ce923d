// What changed by itself is said to those who do not see it: answers, advice, what was undone.
class Announcements {
  text = $state('');

  say(text: string): void {
    // The same sentence twice is said twice.
    this.text = text === this.text ? `${text}\u00a0` : text;
  }
}

export const announcements = new Announcements();
export const announce = (text: string): void => announcements.say(text);
