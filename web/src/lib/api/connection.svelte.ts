/** Whether the server answers, and of when what the screen shows is where it does not. */
class Connection {
  /** When what was shown last was heard, where it came from this device; null while the server answers. */
  heard = $state<Date | null>(null);

  /** An answer came: from the server, or from this device. */
  note(response: Response, header: string): void {
    const at = Number(response.headers.get(header) ?? 0);
    this.heard = at ? new Date(at) : null;
  }
}
export const connection = new Connection();
