/** What a name could be taken for in Markdown is made plain. */
export const inMarkdown = (text: string) => text.replace(/[\\`*_[\]<>#|~]/g, "\\$&").replace(/[\r\n]+/g, " ");
