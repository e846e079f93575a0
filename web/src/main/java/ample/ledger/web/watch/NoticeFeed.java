package ample.ledger.web.watch;

import ample.ledger.store.Notices.Notice;
import java.io.StringWriter;
import java.util.List;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;

/** Writes notices as an Atom feed: RFC 4287. */
final class NoticeFeed {

    private static final String ATOM = "http://www.w3.org/2005/Atom";

    /** Of feeds and entries, which have no address that stays: RFC 4151. */
    private static final String TAG = "tag:ledger.example,2031:";

    private NoticeFeed() {}

    /**
     * @param notices the latest first
     * @param root where readers reach this application
     * @param updated when there are none, as ISO 8601 writes it
     */
    static String write(List<Notice> notices, String root, String updated) {
        StringWriter text = new StringWriter();
        try {
            XMLStreamWriter xml = XMLOutputFactory.newFactory().createXMLStreamWriter(text);
            xml.writeStartDocument("UTF-8", "1.0");
            xml.writeStartElement("feed");
            xml.writeDefaultNamespace(ATOM);
            element(xml, "title", "Your notices, Ample Ledger");
            element(xml, "id", TAG + "notices");
            element(
                    xml,
                    "updated",
                    notices.isEmpty() ? updated : notices.get(0).madeAt().toString());
            link(xml, root + "/notices");
            xml.writeStartElement("author");
            element(xml, "name", "Ample Ledger");
            xml.writeEndElement();
            for (Notice notice : notices) {
                entry(xml, notice, root);
            }
            xml.writeEndElement();
            xml.writeEndDocument();
            xml.close();
        } catch (XMLStreamException e) {
            throw new IllegalStateException("A feed could not be written", e);
        }
        return text.toString();
    }

    private static void entry(XMLStreamWriter xml, Notice notice, String root) throws XMLStreamException {
        NoticeContent content = NoticeContent.read(notice.content());
        xml.writeStartElement("entry");
        element(xml, "title", content.heading());
        element(xml, "id", TAG + "notice-" + notice.id());
        element(xml, "updated", notice.madeAt().toString());
        link(xml, root + "/notices#notice-" + notice.id());
        element(xml, "summary", String.join(" ", content.lines()));
        xml.writeEndElement();
    }

    private static void element(XMLStreamWriter xml, String name, String text) throws XMLStreamException {
        xml.writeStartElement(name);
        xml.writeCharacters(text);
        xml.writeEndElement();
    }

    private static void link(XMLStreamWriter xml, String address) throws XMLStreamException {
        xml.writeEmptyElement("link");
        xml.writeAttribute("href", address);
    }
}
