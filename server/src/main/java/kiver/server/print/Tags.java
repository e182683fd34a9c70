package kiver.server.print;

import java.util.HashMap;
import java.util.Map;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDDocumentCatalog;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDNumberTreeNode;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDMarkInfo;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDParentTreeValue;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureElement;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureTreeRoot;
import org.apache.pdfbox.pdmodel.documentinterchange.taggedpdf.StandardStructureTypes;
import org.apache.pdfbox.pdmodel.interactive.viewerpreferences.PDViewerPreferences;

/**
 * Tells what each part of a document is, in the order in which it is read, so that it can be read aloud (tagged PDF,
 * ISO 32000-1, 14.8).
 */
final class Tags {

    private final PDDocument document;
    private final PDStructureTreeRoot root = new PDStructureTreeRoot();
    private final PDStructureElement whole = new PDStructureElement(StandardStructureTypes.DOCUMENT, root);
    private final Map<Integer, PDParentTreeValue> byPage = new HashMap<>();
    private PDPage page;
    private COSArray onPage;

    Tags(PDDocument document, String language) {
        this.document = document;
        PDDocumentCatalog catalog = document.getDocumentCatalog();
        PDMarkInfo marked = new PDMarkInfo();
        marked.setMarked(true);
        catalog.setMarkInfo(marked);
        catalog.setLanguage(language);
        PDViewerPreferences preferences = new PDViewerPreferences(new COSDictionary());
        preferences.setDisplayDocTitle(true);
        catalog.setViewerPreferences(preferences);
        catalog.setStructureTreeRoot(root);
        root.appendKid(whole);
    }

    /** Goes on to another page. */
    void page(PDPage next) {
        page = next;
        onPage = new COSArray();
        page.setStructParents(byPage.size());
        byPage.put(byPage.size(), new PDParentTreeValue(onPage));
    }

    /** A new part of the document. */
    PDStructureElement part(String type) {
        PDStructureElement part = new PDStructureElement(type, whole);
        part.setPage(page);
        whole.appendKid(part);
        return part;
    }

    /** Answers the number under which what is drawn next on the page belongs to a part. */
    int belongsTo(PDStructureElement part) {
        int number = onPage.size();
        onPage.add(part);
        part.appendKid(number);
        return number;
    }

    /** Writes down which part everything on the pages belongs to. */
    void finish() {
        PDNumberTreeNode tree = new PDNumberTreeNode(PDParentTreeValue.class);
        tree.setNumbers(byPage);
        root.setParentTree(tree);
        root.setParentTreeNextKey(byPage.size());
        document.getDocumentCatalog().setStructureTreeRoot(root);
    }
}
