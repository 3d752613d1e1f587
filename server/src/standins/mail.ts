import { mkdir, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { createTransport } from 'nodemailer';

/** A message for one person. */
export interface Mail {
  /** Names it, so that it is never sent twice under two names. */
  readonly id: string;
  readonly to: { readonly name: string; readonly address: string };
  readonly subject: string;
  readonly text: string;
  readonly attachment?: { readonly name: string; readonly mediaType: string; readonly content: Buffer };
}

/** Whoever carries mails away. Rejects when it cannot, and is asked again later. */
export interface MailSender {
  send(mail: Mail): Promise<void>;
}

/** In the place of a mail server: every mail becomes a file (RFC 5322) in an outbox. */
export class Outbox implements MailSender {
  readonly #folder: string;
  readonly #transport = createTransport({ streamTransport: true, buffer: true, newline: 'windows' });

  constructor(folder: string) {
    this.#folder = folder;
  }

  async send({ id, to, subject, text, attachment }: Mail): Promise<void> {
    const from = { name: 'Oilcan', address: 'oilcan@oilcan.invalid' };
    const { message } = await this.#transport.sendMail({
      from,
      to,
      subject,
      text,
      ...(attachment === undefined
        ? {}
        : {
            attachments: [
              { filename: attachment.name, contentType: attachment.mediaType, content: attachment.content },
            ],
          }),
      messageId: `<${id}@oilcan.invalid>`,
    });
    await mkdir(this.#folder, { recursive: true });
    await writeFile(join(this.#folder, `${id}.eml`), message as Buffer);
  }
}
