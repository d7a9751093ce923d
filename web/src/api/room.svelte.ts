// What belongs to the whole workroom: shelves, machines, garments, the unit, and what there is to
// choose from.
import { client, type Catalogue, type Habit, type Workroom } from './client';

class Room {
  workroom = $state.raw<Workroom>();
  catalogue = $state.raw<Catalogue>();
  failed = $state(false);

  async load(): Promise<void> {
    try {
      const [workroom, catalogue] = await Promise.all([
        client.GET('/api/workroom'),
        client.GET('/api/catalogue'),
      ]);
      this.failed = !workroom.data || !catalogue.data;
      if (workroom.data) this.workroom = workroom.data;
      if (catalogue.data) this.catalogue = catalogue.data;
    } catch {
      this.failed = true;
    }
    if (this.failed) setTimeout(() => void this.load(), 2000);
  }

  /** What the house does for a field that a closure leaves open. */
  habit(path: string): Habit | undefined {
    return this.workroom?.habits.find((habit) => habit.path === path);
  }

  async showIn(unit: Workroom['unit']): Promise<void> {
    if (!this.workroom) return;
    const header = { 'If-Match': `"${this.workroom.revision}"` };
    const answer = await client.PATCH('/api/workroom', { params: { header }, body: { unit } });
    if (answer.data) this.workroom = answer.data;
    await this.load();
  }
}

export const room = new Room();
