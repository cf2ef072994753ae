/** What is said while the program is not here yet: a title, a text, and the ways on. */
export function notice(
  root: HTMLElement,
  title: string,
  text: string,
  ways: readonly { readonly title: string; readonly act: () => void }[],
): void {
  const page = element('main', 'mx-auto mt-16 max-w-[560px] px-4');
  const panel = page.appendChild(element('div', 'panel border-l-4 border-l-close px-5 py-5'));
  panel.role = 'status';
  panel.appendChild(element('h1', 'text-[20px]', title));
  panel.appendChild(element('p', 'mt-1', text));
  const row = panel.appendChild(element('p', 'mt-4 flex flex-wrap gap-2'));
  ways.forEach((way, i) => {
    const button = row.appendChild(element('button', i === 0 ? 'btn btn-main' : 'btn', way.title));
    button.type = 'button';
    button.onclick = way.act;
  });
  root.replaceChildren(page);
}

function element<K extends keyof HTMLElementTagNameMap>(kind: K, className: string, text = '') {
  const made = document.createElement(kind);
  made.className = className;
  made.textContent = text;
  return made;
}
