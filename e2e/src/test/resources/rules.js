// What axe cannot see, looked at on the page as it stands. Answers with one line for each fault.
({ touch }) => {
  const faults = [];
  const seen = (element) => {
    const box = element.getBoundingClientRect();
    const style = getComputedStyle(element);
    return box.width > 1 && box.height > 1 && style.visibility !== 'hidden' && !element.closest('.sr-only, [inert], [hidden]');
  };
  const called = (element) =>
    `${element.tagName.toLowerCase()} "${(element.getAttribute('aria-label') || element.textContent || element.title || '').trim().slice(0, 40)}"`;

  // Wet hands and gloves: what is pressed is 44 px high; a link inside a sentence may be as high as its line.
  if (touch) {
    for (const element of document.querySelectorAll('button, summary, select, a, input:not([type=hidden])')) {
      if (!seen(element) || element.closest('[role=grid], [data-small]')) continue;
      if (element.matches('a') && getComputedStyle(element).display === 'inline') continue;
      if (element.matches('input[type=checkbox], input[type=radio]') && element.closest('label')) {
        if (element.closest('label').getBoundingClientRect().height >= 43.5) continue;
      }
      const height = element.getBoundingClientRect().height;
      if (height < 43.5) faults.push(`${Math.round(height)} px high: ${called(element)}`);
    }
  }

  // Words in a drawing are read, too.
  for (const words of document.querySelectorAll('svg text')) {
    if (!seen(words) || !words.textContent.trim()) continue;
    const turned = words.getScreenCTM();
    const scale = turned ? Math.hypot(turned.a, turned.b) : 1;
    const size = Number.parseFloat(getComputedStyle(words).fontSize) * scale;
    if (size < 11.5) faults.push(`${size.toFixed(1)} px in a drawing: ${words.textContent.trim().slice(0, 30)}`);
  }
  return [...new Set(faults)];
};
