import { createHash } from 'node:crypto';
import { inZone, type Instant } from '@oilcan/core/kernel';
import { demandOf, type RaiseRules, type ReportQuestion } from '@oilcan/core/orders/raise-rules';
import { publicEventsOf, type PublicEvent } from '@oilcan/core/raising/guests';
import { deadLabelWords, eventSentence, noSuchReport, stateSentence } from './guest-sentences';
import type { FollowPage, LabelPage } from './guest-records';
import { guestStyle } from './guest-style';
import { GUEST_KEPT_DAYS } from '@oilcan/core/raising/reports';
import { guestWords as words } from './guest-words';
import { Markup, markup } from '../html/markup';

const styleHash = createHash('sha256').update(guestStyle).digest('base64');

/** What a browser may do on these pages: show the style that stands in them, run one script of this server, and send forms to it. */
export const guestContentSources = [
  "default-src 'none'",
  `style-src 'sha256-${styleHash}'`,
  "script-src 'self'",
  "img-src 'self' blob: data:",
  "font-src 'self'",
  "connect-src 'self'",
  "form-action 'self'",
  "base-uri 'none'",
  "frame-ancestors 'none'",
].join('; ');

/** What was typed into a form that was not taken, and why. */
export interface NotTaken {
  readonly sentence: string;
  readonly texts: Readonly<Record<string, string>>;
}

interface FormOnPage {
  /** What the browser calls what it sends. */
  readonly postId: string;
  readonly notTaken: NotTaken | null;
}

function page(title: string, body: Markup): string {
  return markup`<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<meta name="robots" content="noindex, nofollow">
<meta name="description" content="${words.reportTitle}">
<title>${title}</title>
<link rel="icon" href="data:,">
<style>${new Markup(guestStyle)}</style>
<script src="/r/page.js" defer></script>
</head>
<body><main>${body}</main></body>
</html>`.text;
}

/** The page of one machine or place: what is known there, and what is wrong with it. */
export function labelPage(
  { there, placeName, known, rules }: LabelPage,
  { key, postId, notTaken }: FormOnPage & { readonly key: string },
): string {
  const { asset, label } = there;
  const name = asset?.name ?? placeName;
  const texts = notTaken?.texts ?? {};
  const inApplication = `/code/${encodeURIComponent(asset?.tag ?? `PLACE:${label.placeId}`)}`;
  const body = markup`
<header><h1>${name}</h1>${asset !== null && markup`<p class="place">${placeName} · ${asset.tag}</p>`}</header>
${told(notTaken)}
${known.length > 0 && knownThere(known, key, postId)}
<h2>${known.length > 0 ? words.notListed : words.reportTitle}</h2>
<form method="post" action="/r/${key}" enctype="multipart/form-data" data-send="report">
<input type="hidden" name="post" value="${postId}">
<label for="words">${words.words}</label>
<textarea id="words" name="words" required maxlength="10000" aria-describedby="words-hint">${texts['words'] ?? ''}</textarea>
<p class="hint" id="words-hint">${words.wordsHint}</p>
${questionsOf(rules, asset !== null, texts)}
<button class="send">${words.send}</button>
</form>
<section id="mine" hidden><h2>${words.yourReports}</h2><ul class="plain"></ul></section>
<footer><a class="line" href="${inApplication}">${words.signIn}</a></footer>`;
  return page(`${words.reportTitle}: ${name}`, body);
}

/** Where the script tells something, and why a form was not taken. */
const told = (notTaken: NotTaken | null): Markup => markup`<div id="told" role="status" hidden></div>
${notTaken !== null && markup`<p class="error" role="alert">${notTaken.sentence}</p>`}`;

function knownThere(known: LabelPage['known'], key: string, postId: string): Markup {
  const lines = known.map(
    ({ id, title }) => markup`<li><p>${title}</p>
<form method="post" action="/r/${key}/me-too" enctype="multipart/form-data" data-send="me-too">
<input type="hidden" name="post" value="${postId}-${id}"><input type="hidden" name="work" value="${id}">
<button class="quiet" aria-label="${words.meToo}: ${title}">${words.meToo}</button>
</form></li>`,
  );
  return markup`<section><h2>${words.knownTitle}</h2><p class="hint">${words.knownHint}</p>
<ul class="plain known">${lines}</ul></section>`;
}

/** The questions that the lead of the site wants to be asked; no other is shown. */
function questionsOf(rules: RaiseRules, hasMachine: boolean, texts: NotTaken['texts']): Markup[] {
  const needed = (question: ReportQuestion): boolean => demandOf(rules, 'problem', question) === 'must';
  const mark = (question: ReportQuestion): string => (needed(question) ? ` (${words.needed})` : '');
  const required = (question: ReportQuestion): Markup | false => needed(question) && new Markup(' required');
  const choices = (question: ReportQuestion, title: string, of: Readonly<Record<string, string>>): Markup => {
    const lines = Object.entries(of).map(([value, label]) => {
      const isChosen = texts[question] === value && new Markup(' checked');
      return markup`<label><input type="radio" name="${question}" value="${value}"${required(question)}${isChosen}>${label}</label>`;
    });
    return markup`<fieldset><legend>${title}${mark(question)}</legend><div class="choices">${lines}</div></fieldset>`;
  };
  const asked: Partial<Record<ReportQuestion, Markup>> = {
    condition: choices('condition', words.condition, words.conditions),
    danger: markup`${choices('danger', words.danger, { no: words.dangerNo, yes: words.dangerYes })}<p class="hint">${words.dangerHint}</p>`,
    since: markup`<label for="since">${words.since}${mark('since')}</label>
<input type="datetime-local" id="since" name="since" value="${texts['since'] ?? ''}"${required('since')}>`,
    photo: photoField(`${words.photo}${mark('photo')}`, required('photo')),
    reach: markup`<label for="name">${words.name}</label>
<input type="text" id="name" name="name" maxlength="200" autocomplete="name" value="${texts['name'] ?? ''}">
<label for="reach">${words.reach}${mark('reach')}</label>
<input type="text" id="reach" name="reach" maxlength="200" autocomplete="email" aria-describedby="reach-hint" value="${texts['reach'] ?? ''}"${required('reach')}>
<p class="hint" id="reach-hint">${words.reachHint(GUEST_KEPT_DAYS)}</p>`,
  };
  const order = ['condition', 'danger', 'since', 'photo', 'reach'] as const;
  return order.flatMap((question) => {
    const isAsked = demandOf(rules, 'problem', question) !== 'not' && (question !== 'condition' || hasMachine);
    return isAsked ? (asked[question] ?? []) : [];
  });
}

const photoField = (label: string, required: Markup | false): Markup => markup`<label for="photo">${label}</label>
<input type="file" id="photo" name="photo" accept="image/jpeg,image/png,image/webp" aria-describedby="photo-hint"${required}>
<p class="hint" id="photo-hint">${words.photoHint}</p>`;

/** What became of a report, for whoever has its private link. */
export function followPage(
  { report, assetName, placeName, zone }: FollowPage,
  { token, postId, notTaken }: FormOnPage & { readonly token: string },
): string {
  const { number, state, words: reported, at } = report;
  const isOver = state === 'solved' || state === 'declined';
  const became = publicEventsOf(report).map((event) => becameLine(event, zone));
  const form = markup`<h2>${words.addTitle}</h2>
<form method="post" action="/r/follow/${token}" enctype="multipart/form-data" data-send="say">
<input type="hidden" name="post" value="${postId}">
<label for="words">${state === 'asked' ? words.answerWords : words.addWords}</label>
<textarea id="words" name="words" maxlength="10000">${notTaken?.texts['words'] ?? ''}</textarea>
${photoField(words.photo, false)}
<button class="send">${words.add}</button>
</form>`;
  const body = markup`
<header><p class="number">${number}</p><h1>${assetName ?? placeName}</h1>${assetName !== null && markup`<p class="place">${placeName}</p>`}</header>
<p class="standing">${stateSentence(state)}</p>
<p class="hint">${words.followHint}</p>
${told(notTaken)}
<h2>${words.followTitle}</h2>
<ol class="plain became">
<li>${timeOf(at, zone)}${words.youReported}:<p class="said">${reported}</p></li>${became}
</ol>
${isOver ? markup`<p>${words.closed}</p>` : form}`;
  return page(`${number}: ${stateSentence(state)}`, body);
}

function becameLine(event: PublicEvent, zone: string): Markup {
  const said = 'words' in event && event.words !== '' && markup`:<p class="said">${event.words}</p>`;
  return markup`<li>${timeOf(event.at, zone)}${eventSentence(event.is)}${said}</li>`;
}

const timeOf = (at: Instant, zone: string): Markup =>
  markup`<time datetime="${at}">${inZone(at, zone).toFormat('ccc d LLL, HH:mm')}</time>`;

/** A page that says in one sentence why there is none. */
const nothingPage = (sentence: string): string =>
  page(words.reportTitle, markup`<h1>${words.reportTitle}</h1><p class="error" role="alert">${sentence}</p>`);

/** Why something was refused before the form was read. */
export const refusedPage = (sentence: string): string =>
  page(
    words.reportTitle,
    markup`<h1>${words.reportTitle}</h1><p class="error" role="alert">${sentence}</p><p>${words.goBack}</p>`,
  );

export const deadLabelPage = (why: keyof typeof deadLabelWords): string => nothingPage(deadLabelWords[why]);
export const deadLinkPage = (): string => nothingPage(noSuchReport);
