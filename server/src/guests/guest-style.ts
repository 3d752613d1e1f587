/** How the pages look: paper, ink and machine green, by day and by night; large enough for a thumb in a glove. */
export const guestStyle = `
@font-face{font-family:"Barlow Condensed";src:url("/fonts/barlow-condensed-latin-600-normal.woff2") format("woff2");font-weight:600;font-display:swap}
:root{color-scheme:light dark;--paper:#f6f7f4;--ink:#10211f;--soft:#46544f;--green:#2f5d50;--on-green:#fff;--rule:#71807a;--late:#b03f00}
@media (prefers-color-scheme:dark){:root{--paper:#0c1514;--ink:#e4ebe8;--soft:#b3c0bb;--green:#7fb9a6;--on-green:#0c1514;--rule:#8b9a95;--late:#ff9a5c}}
*{box-sizing:border-box}
body{margin:0;background:var(--paper);color:var(--ink);font:1.125rem/1.5 system-ui,sans-serif}
main{max-width:34rem;margin:0 auto;padding:1rem 1rem 4rem}
h1,h2,.number{font-family:"Barlow Condensed","Arial Narrow",sans-serif;font-weight:600;line-height:1.2}
h1{font-size:2.125rem;margin:.25rem 0 0}
h2{font-size:1.625rem;margin:1.75rem 0 .5rem}
p{margin:.35rem 0}
.place,.hint{color:var(--soft)}
.hint{font-size:1rem}
.standing{border-left:8px solid var(--green);padding:.25rem 0 .25rem 1rem;margin:1rem 0;font-size:1.25rem}
.number{font-size:1.625rem}
.error{border:2px solid var(--late);border-radius:4px;padding:.75rem 1rem;margin:1rem 0}
fieldset{border:0;margin:1.5rem 0 0;padding:0;min-width:0}
legend{font-weight:700;margin:0 0 .35rem;padding:0}
label{display:block;font-weight:700;margin:1.25rem 0 .35rem}
textarea,input[type=text],input[type=datetime-local],input[type=file]{width:100%;font:inherit;color:inherit;background:transparent;border:2px solid var(--rule);border-radius:4px;padding:.7rem .8rem;min-height:3rem}
textarea{min-height:7rem;resize:vertical}
::file-selector-button{font:inherit;font-weight:700;color:var(--green);background:transparent;border:2px solid var(--green);border-radius:4px;padding:.4rem .8rem;margin-right:.8rem}
.choices{display:flex;flex-wrap:wrap;gap:.5rem}
.choices label{flex:1 1 auto;display:flex;align-items:center;gap:.6rem;margin:0;font-weight:400;border:2px solid var(--rule);border-radius:4px;padding:.6rem .9rem;min-height:3rem}
.choices label:has(:checked){border-color:var(--green);box-shadow:inset 0 0 0 2px var(--green)}
input[type=radio]{width:1.4rem;height:1.4rem;accent-color:var(--green);margin:0}
button{width:100%;min-height:3.25rem;font:inherit;font-weight:700;border-radius:4px;border:2px solid var(--green);background:var(--green);color:var(--on-green);padding:.6rem 1rem;cursor:pointer}
button.quiet{background:transparent;color:var(--green)}
.send{margin-top:2rem}
:focus-visible{outline:3px solid var(--green);outline-offset:3px}
ul.plain,ol.plain{list-style:none;margin:0;padding:0}
.known li{border-top:2px solid var(--rule);padding:.8rem 0}
.known li p{margin-bottom:.5rem}
.became li{border-left:4px solid var(--rule);padding:.15rem 0 .6rem .9rem}
.became time{display:block;color:var(--soft);font-size:1rem}
.said{white-space:pre-wrap;overflow-wrap:anywhere}
a{color:var(--green);text-underline-offset:.2em}
a.line{display:inline-block;padding:.75rem 0}
footer{margin-top:2.5rem;border-top:2px solid var(--rule);padding-top:.5rem}
[hidden]{display:none}
`.trim();
