import { COLOURS } from "@/core/timeline/looks";

/** How a presentation and its speaker's window look; put in by the script that needs it. */
export const PRESENT_STYLE = `body.presenting{overflow:hidden}
.present{position:fixed;inset:0;z-index:40;display:grid;grid-template-rows:auto minmax(0,1fr) auto;background:var(--paper);color:var(--ink)}
.present:focus{outline:none}
.p-strip{background:var(--panel);border-bottom:1px solid var(--line);padding:6px 24px;cursor:pointer}
.p-strip .hold{position:relative;max-width:1800px;margin:0 auto}.p-strip svg{display:block;width:100%;height:auto}
.p-strip .line{position:absolute;top:0;bottom:0;width:3px;background:var(--sun)}.p-strip .line[hidden]{display:none}
.p-room{min-height:0;padding:clamp(16px,4vh,56px) clamp(20px,5vw,110px);cursor:default}
.p-slide{height:100%;display:grid;grid-template-columns:minmax(0,1fr) minmax(0,1.1fr);gap:clamp(20px,4vw,80px);align-items:center}
.p-slide.p-alone{grid-template-columns:minmax(0,1fr);max-width:1500px;margin:0 auto}
.p-slide.p-heard{grid-template-columns:minmax(0,1fr);grid-template-rows:minmax(0,1fr) auto}
.p-words{max-height:100%;min-height:0;overflow-y:auto;font-size:24px;line-height:1.42}
.p-words .date{font:700 1.15em/1.2 var(--type),sans-serif;margin:0 0 .35em;display:block}
.p-words h2{font-size:2.1em;line-height:1.08;margin:0 0 .55em;text-wrap:balance}.p-words h2.important:after{content:"";display:block;width:2.4em;border-bottom:.14em solid var(--sun);margin-top:.2em}
${Object.keys(COLOURS)
  .map((name) => `.p-words .${name}{color:var(--c-${name})}`)
  .join("")}
.p-words p{margin:0 0 .7em}.p-words .by,.p-words .facts{color:var(--quiet)}
.p-begin h2{font-size:2.5em}.p-chapter{text-align:center}.p-chapter h2{font-size:2.8em}
.p-media{height:100%;min-height:0;overflow-y:auto;display:flex;flex-direction:column;justify-content:safe center;gap:14px;--most:100vh}
.p-media>figure{min-height:min(100%,22vh);flex:1 1 auto;display:flex;flex-direction:column;justify-content:center;margin:0}
.p-media>figure>a:not(.play),.p-media>figure picture{display:flex;min-height:0;flex:0 1 auto;justify-content:center}
.p-media>figure img,.p-media>figure video{width:auto;max-width:100%;height:auto;max-height:min(66vh,100%);object-fit:contain;margin:0 auto;border-radius:8px}
.p-media:has(.p-more)>figure{flex:none}.p-media:has(.p-more)>figure img,.p-media:has(.p-more)>figure video{max-height:44vh}
.p-media figcaption{flex:none;font-size:clamp(14px,1.2vw,20px);text-align:center}
.p-media iframe{max-height:66vh}.p-more{flex:none;display:flex;flex-wrap:wrap;gap:12px;justify-content:center}.p-more figure{margin:0;max-width:300px;--most:15vh}
.p-heard .p-media{height:auto}.unseen{visibility:hidden}
.p-bar{display:flex;flex-wrap:wrap;gap:8px;align-items:center;justify-content:center;padding:8px 14px;background:var(--bar);color:var(--bar-ink);transition:opacity .3s}
.p-bar button,.p-bar select,.p-jump{font:inherit;font-size:14px;min-height:40px;border:1px solid var(--bar-edge);border-radius:6px;background:var(--bar);color:var(--bar-ink);padding:0 10px;cursor:pointer}
.p-bar button{font-weight:700}.p-bar button:hover,.p-bar select:hover{background:var(--bar-hover)}.p-bar button[aria-pressed=true]{background:var(--sun);border-color:var(--sun);color:var(--on-sun)}
.p-extra{display:flex;flex-wrap:wrap;gap:8px;align-items:center;justify-content:center}.p-opens{display:none}
.p-jump{width:11em;cursor:text}.p-jump::placeholder{color:var(--bar-quiet)}.p-bar span{min-width:5em;text-align:center;font-variant-numeric:tabular-nums}
.present.still .p-bar:not(:focus-within):not(:hover){opacity:.35}
.p-said{position:absolute;left:0;right:0;bottom:66px;margin:0 auto;width:fit-content;max-width:90%;padding:8px 16px;border-radius:8px;background:var(--wash);z-index:3}.p-said:empty{display:none}
.p-pen{position:absolute;inset:0;pointer-events:none;z-index:2}.drawing .p-pen{pointer-events:auto;cursor:crosshair;touch-action:none;bottom:56px}
.p-dot{display:none;position:fixed;left:-14px;top:-14px;width:28px;height:28px;border-radius:50%;background:rgba(242,182,50,.75);border:3px solid var(--ink);pointer-events:none;z-index:4}.pointing .p-dot{display:block}.pointing,.pointing *{cursor:none}.pointing .p-bar,.pointing .p-bar *{cursor:pointer}
.present.black{background:#000}.present.black .p-strip,.present.black .p-room,.present.black .p-pen,.present.black .p-dot{visibility:hidden}
@media(max-width:820px),(orientation:portrait){.p-slide{grid-template-columns:minmax(0,1fr);grid-template-rows:minmax(0,1fr) minmax(0,1.1fr);gap:14px}.p-slide.p-alone{grid-template-rows:minmax(0,1fr)}.p-slide .p-media{order:-1}.p-room{padding:12px 16px}.p-strip{padding:2px 6px}.p-bar{gap:6px;padding:6px}.p-bar .p-opens{display:block}.p-extra{display:none;order:9;width:100%}.p-bar.open .p-extra{display:flex}.p-jump{width:100%}.p-bar span{min-width:3.6em}.p-media>figure img,.p-media>figure video{max-height:34vh}.p-media:has(.p-more)>figure img,.p-media:has(.p-more)>figure video{max-height:22vh}}
@media(prefers-reduced-motion:no-preference){.p-slide{animation:p-come .25s ease-out}@keyframes p-come{from{opacity:0}}}
.speaker{min-height:100vh;box-sizing:border-box;padding:24px 32px;background:var(--bar);color:var(--bar-ink);display:flex;flex-direction:column;gap:10px}
.s-times{display:flex;gap:28px;align-items:baseline;font-size:22px;font-variant-numeric:tabular-nums}.s-times p{margin:0}.s-clock{font-weight:700;font-size:30px}
.s-date{margin:8px 0 0;color:var(--sun);font-weight:700;font-size:20px}.s-now{font-size:38px}.s-then{margin:0;color:var(--bar-quiet);font-size:20px}
.s-notes{flex:1;overflow:auto;white-space:pre-line;font-size:26px;line-height:1.45;background:var(--paper);color:var(--ink);border-radius:8px;padding:18px 22px;min-height:120px}.s-notes.none{color:var(--quiet);font-size:18px}
.s-tools{display:flex;flex-wrap:wrap;gap:10px}.s-tools button{font:inherit;font-weight:700;font-size:18px;min-height:48px;padding:0 20px;border-radius:8px;border:1px solid var(--bar-edge);background:var(--bar-hover);color:var(--bar-ink);cursor:pointer}
.speaker.black .s-now{opacity:.5}`;
