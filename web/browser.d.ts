// For the checker alone: what the browser's own types leave open, and these pages know.

interface ParentNode {
    /** Everything on these pages is HTML, but what stands inside a picture. */
    querySelector<E extends Element = HTMLElement>(selectors: string): E | null;
    querySelectorAll<E extends Element = HTMLElement>(
        selectors: string,
    ): NodeListOf<E>;
}

interface Element {
    closest<E extends Element = HTMLElement>(selectors: string): E | null;
}

/** Listeners stand on the document: what is clicked or typed into is an element, and may be a field of a form. */
type PageEvent = Omit<KeyboardEvent & PointerEvent & SubmitEvent, "target"> & {
    readonly target: HTMLInputElement;
};

interface Document {
    addEventListener(
        type: string,
        listener: (event: PageEvent) => unknown,
        options?: boolean | AddEventListenerOptions,
    ): void;
}
interface HTMLElement {
    addEventListener(
        type: string,
        listener: (event: PageEvent) => unknown,
        options?: boolean | AddEventListenerOptions,
    ): void;
}

declare module "*/idiomorph.js" {
    export const Idiomorph: {
        morph(old: Node, now: Node | string, options?: object): void;
    };
}
