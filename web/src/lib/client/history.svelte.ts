/** Undo and redo: every change brings the way back with it. */

export interface Step {
  name: string;
  undo: () => void | Promise<void>;
  redo: () => void | Promise<void>;
}

export class History {
  past = $state<Step[]>([]);
  future = $state<Step[]>([]);

  add(step: Step): void {
    this.past = [...this.past.slice(-199), step];
    this.future = [];
  }

  async undo(): Promise<string | null> {
    const step = this.past.at(-1);
    if (!step) return null;
    this.past = this.past.slice(0, -1);
    this.future = [...this.future, step];
    await step.undo();
    return step.name;
  }

  async redo(): Promise<string | null> {
    const step = this.future.at(-1);
    if (!step) return null;
    this.future = this.future.slice(0, -1);
    this.past = [...this.past, step];
    await step.redo();
    return step.name;
  }
}
