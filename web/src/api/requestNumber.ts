/** Numbers requests: the same entries keep their number until they were answered, others get another. */
export class RequestNumber {
  private entries = '';
  private id = '';

  of(entries: unknown): string {
    // Of nothing there is nothing to write.
    const written = (JSON.stringify(entries) as string | undefined) ?? '';
    if (this.id === '' || written !== this.entries) {
      this.entries = written;
      this.id = crypto.randomUUID();
    }
    return this.id;
  }

  /** The request was carried out; the same entries are another request from now on. */
  done(): void {
    this.id = '';
  }
}
