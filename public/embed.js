// Makes frames that hold a timeline as high as what they show. Loaded by pages of other sites; it listens to those frames alone.
addEventListener("message", (event) => {
  const height = Number(event.data && event.data.fastigoHeight);
  if (!(height > 0) || height > 100000) return;
  for (const frame of document.querySelectorAll("iframe[data-fastigo]"))
    if (frame.contentWindow === event.source && new URL(frame.src).origin === event.origin)
      frame.style.height = `${Math.ceil(height)}px`;
});
