<?xml version="1.0" encoding="utf-8"?>
<!DOCTYPE TS>
<TS version="2.1" language="en" sourcelanguage="en">
<context>
    <name>Said</name>
    <message numerus="yes">
        <source>%n songs in %1</source>
        <translation>
            <numerusform>%n song in %1</numerusform>
            <numerusform>%n songs in %1</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%1: %n items</source>
        <translation>
            <numerusform>%1: %n item</numerusform>
            <numerusform>%1: %n items</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n pictures in %1</source>
        <translation>
            <numerusform>%n picture in %1</numerusform>
            <numerusform>%n pictures in %1</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>not known: the book “%1” (line %2, %n verses)</source>
        <translation>
            <numerusform>not known: the book “%1” (line %2, %n verse)</numerusform>
            <numerusform>not known: the book “%1” (line %2, %n verses)</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>Say --as-it-is to bring in the %n verses that can.</source>
        <translation>
            <numerusform>Say --as-it-is to bring in the %n verse that can.</numerusform>
            <numerusform>Say --as-it-is to bring in the %n verses that can.</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n files, %1</source>
        <translation>
            <numerusform>%n file, %1</numerusform>
            <numerusform>%n files, %1</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%1: %n files, %2</source>
        <translation>
            <numerusform>%1: %n file, %2</numerusform>
            <numerusform>%1: %n files, %2</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n slides</source>
        <translation>
            <numerusform>%n slide</numerusform>
            <numerusform>%n slides</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n steps</source>
        <translation>
            <numerusform>%n step</numerusform>
            <numerusform>%n steps</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n lines at most</source>
        <translation>
            <numerusform>%n line at most</numerusform>
            <numerusform>%n lines at most</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n pictures</source>
        <translation>
            <numerusform>%n picture</numerusform>
            <numerusform>%n pictures</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n days before</source>
        <translation>
            <numerusform>%n day before</numerusform>
            <numerusform>%n days before</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n weeks before</source>
        <translation>
            <numerusform>%n week before</numerusform>
            <numerusform>%n weeks before</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n songs without licence number</source>
        <translation>
            <numerusform>%n song without licence number</numerusform>
            <numerusform>%n songs without licence number</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n songs without credit</source>
        <translation>
            <numerusform>%n song without credit</numerusform>
            <numerusform>%n songs without credit</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n songs sung lately</source>
        <translation>
            <numerusform>%n song sung lately</numerusform>
            <numerusform>%n songs sung lately</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n lines</source>
        <translation>
            <numerusform>%n line</numerusform>
            <numerusform>%n lines</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n letters in one line</source>
        <translation>
            <numerusform>%n letter in one line</numerusform>
            <numerusform>%n letters in one line</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n translations beside one another</source>
        <translation>
            <numerusform>One translation</numerusform>
            <numerusform>%n translations beside one another</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n verses</source>
        <translation>
            <numerusform>%n verse</numerusform>
            <numerusform>%n verses</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n letters in one verse</source>
        <translation>
            <numerusform>%n letter in one verse</numerusform>
            <numerusform>%n letters in one verse</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n items</source>
        <translation>
            <numerusform>%n item</numerusform>
            <numerusform>%n items</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n themes</source>
        <translation>
            <numerusform>%n theme</numerusform>
            <numerusform>%n themes</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n chapters</source>
        <translation>
            <numerusform>%n chapter</numerusform>
            <numerusform>%n chapters</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n blank lines</source>
        <translation>
            <numerusform>%n blank line</numerusform>
            <numerusform>%n blank lines</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n stray spaces</source>
        <translation>
            <numerusform>%n stray space</numerusform>
            <numerusform>%n stray spaces</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n bullets or quotation marks</source>
        <translation>
            <numerusform>%n bullet or quotation mark</numerusform>
            <numerusform>%n bullets or quotation marks</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%1 were removed</source>
        <extracomment>%1 is a list such as &quot;2 blank lines and 3 stray spaces&quot;; the number is how many things are gone in all</extracomment>
        <translation>
            <numerusform>%1 was removed</numerusform>
            <numerusform>%1 were removed</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n typographic signs made plain</source>
        <translation>
            <numerusform>%n typographic sign made plain</numerusform>
            <numerusform>%n typographic signs made plain</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>chords put over %n lines</source>
        <translation>
            <numerusform>chords put over %n line</numerusform>
            <numerusform>chords put over %n lines</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>an order has %n parts at most</source>
        <translation>
            <numerusform>an order has %n part at most</numerusform>
            <numerusform>an order has %n parts at most</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%1, %n times</source>
        <translation>
            <numerusform>%1, %n time</numerusform>
            <numerusform>%1, %n times</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n times</source>
        <translation>
            <numerusform>%n time</numerusform>
            <numerusform>%n times</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n lines in %1</source>
        <translation>
            <numerusform>%n line in %1</numerusform>
            <numerusform>%n lines in %1</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n letters in one line of %1</source>
        <translation>
            <numerusform>%n letter in one line of %1</numerusform>
            <numerusform>%n letters in one line of %1</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n chords in one line</source>
        <translation>
            <numerusform>%n chord in one line</numerusform>
            <numerusform>%n chords in one line</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n parts</source>
        <translation>
            <numerusform>%n part</numerusform>
            <numerusform>%n parts</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n letters</source>
        <translation>
            <numerusform>%n letter</numerusform>
            <numerusform>%n letters</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n other singing orders</source>
        <translation>
            <numerusform>%n other singing order</numerusform>
            <numerusform>%n other singing orders</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n parts in a singing order</source>
        <translation>
            <numerusform>%n part in a singing order</numerusform>
            <numerusform>%n parts in a singing order</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n objects</source>
        <translation>
            <numerusform>%n object</numerusform>
            <numerusform>%n objects</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n songs</source>
        <translation>
            <numerusform>%n song</numerusform>
            <numerusform>%n songs</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n slides with a look of their own</source>
        <translation>
            <numerusform>1 slide with a look of its own</numerusform>
            <numerusform>%n slides with a look of their own</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n slides hidden</source>
        <translation>
            <numerusform>%n slide hidden</numerusform>
            <numerusform>%n slides hidden</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n slides say something else</source>
        <translation>
            <numerusform>1 slide says something else</numerusform>
            <numerusform>%n slides say something else</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>chords over %n lines</source>
        <translation>
            <numerusform>chords over %n line</numerusform>
            <numerusform>chords over %n lines</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n outputs</source>
        <translation>
            <numerusform>%n output</numerusform>
            <numerusform>%n outputs</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n changed slides</source>
        <translation>
            <numerusform>%n changed slide</numerusform>
            <numerusform>%n changed slides</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n files cannot be read, so nothing was brought in: %1</source>
        <translation>
            <numerusform>%n file cannot be read, so nothing was brought in: %1</numerusform>
            <numerusform>%n files cannot be read, so nothing was brought in: %1</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n screens are connected.</source>
        <translation>
            <numerusform>%n screen is connected.</numerusform>
            <numerusform>%n screens are connected.</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n books</source>
        <translation>
            <numerusform>%n book</numerusform>
            <numerusform>%n books</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n texts</source>
        <translation>
            <numerusform>One text</numerusform>
            <numerusform>%n texts</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n translations</source>
        <translation>
            <numerusform>One translation</numerusform>
            <numerusform>%n translations</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n media in %1</source>
        <translation>
            <numerusform>%n medium in %1</numerusform>
            <numerusform>%n media in %1</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n pieces of music</source>
        <translation>
            <numerusform>%n piece of music</numerusform>
            <numerusform>%n pieces of music</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n media</source>
        <translation>
            <numerusform>%n medium</numerusform>
            <numerusform>%n media</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>end, after %n rounds</source>
        <translation>
            <numerusform>end, after %n round</numerusform>
            <numerusform>end, after %n rounds</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>a loop has %n members at most</source>
        <translation>
            <numerusform>a loop has %n member at most</numerusform>
            <numerusform>a loop has %n members at most</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n films</source>
        <translation>
            <numerusform>%n film</numerusform>
            <numerusform>%n films</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>once every %n rounds</source>
        <translation>
            <numerusform>once every round</numerusform>
            <numerusform>once every %n rounds</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n stills or films a round, %1</source>
        <comment>begins a line of facts</comment>
        <translation>
            <numerusform>%n still or film a round, %1</numerusform>
            <numerusform>%n stills or films a round, %1</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n rounds</source>
        <translation>
            <numerusform>%n round</numerusform>
            <numerusform>%n rounds</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%1 every %n rounds</source>
        <translation>
            <numerusform>%1 every round</numerusform>
            <numerusform>%1 every %n rounds</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%1 %n times</source>
        <translation>
            <numerusform>%1 once</numerusform>
            <numerusform>%1 %n times</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n of the loop are not shown on that day</source>
        <translation>
            <numerusform>%n of the loop is not shown on that day</numerusform>
            <numerusform>%n of the loop are not shown on that day</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>mivanta::ArrangeInService</name>
    <message numerus="yes">
        <source>%n more objects come from elsewhere; they are changed there.</source>
        <translation>
            <numerusform>One more object comes from elsewhere; it is changed there.</numerusform>
            <numerusform>%n more objects come from elsewhere; they are changed there.</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>mivanta::BringingIn</name>
    <message numerus="yes">
        <source>and %n more.</source>
        <translation>
            <numerusform>and %n more.</numerusform>
            <numerusform>and %n more.</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>mivanta::CallOutBar</name>
    <message numerus="yes">
        <source>%n seconds</source>
        <translation>
            <numerusform>%n second</numerusform>
            <numerusform>%n seconds</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>mivanta::CheckDesk</name>
    <message numerus="yes">
        <source>%n things to look at</source>
        <translation>
            <numerusform>One thing to look at</numerusform>
            <numerusform>%n things to look at</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>mivanta::DiscWindow</name>
    <message numerus="yes">
        <source>%n channels</source>
        <translation>
            <numerusform>%n channel</numerusform>
            <numerusform>%n channels</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%1: %n titles</source>
        <translation>
            <numerusform>%1: %n title</numerusform>
            <numerusform>%1: %n titles</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n chapters</source>
        <translation>
            <numerusform>%n chapter</numerusform>
            <numerusform>%n chapters</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>mivanta::FolderWatch</name>
    <message numerus="yes">
        <source>there are %n watched folders already</source>
        <translation>
            <numerusform>there is one watched folder already</numerusform>
            <numerusform>there are %n watched folders already</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>mivanta::ImportReview</name>
    <message numerus="yes">
        <source>and %n more</source>
        <translation>
            <numerusform>and %n more</numerusform>
            <numerusform>and %n more</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n songs were read</source>
        <translation>
            <numerusform>One song was read</numerusform>
            <numerusform>%n songs were read</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n new</source>
        <translation>
            <numerusform>%n new</numerusform>
            <numerusform>%n new</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n like another song</source>
        <translation>
            <numerusform>%n like another song</numerusform>
            <numerusform>%n like another song</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n newer than the library</source>
        <translation>
            <numerusform>%n newer than the library</numerusform>
            <numerusform>%n newer than the library</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n from the bin</source>
        <translation>
            <numerusform>%n from the bin</numerusform>
            <numerusform>%n from the bin</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n already there</source>
        <translation>
            <numerusform>%n already there</numerusform>
            <numerusform>%n already there</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n could not be read</source>
        <translation>
            <numerusform>%n could not be read</numerusform>
            <numerusform>%n could not be read</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>Bring in %n songs</source>
        <translation>
            <numerusform>Bring in 1 song</numerusform>
            <numerusform>Bring in %n songs</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%1 · %n undecided stay out</source>
        <translation>
            <numerusform>%1 · %n undecided stays out</numerusform>
            <numerusform>%1 · %n undecided stay out</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>mivanta::LibraryList</name>
    <message numerus="yes">
        <source>%n songs wait to be brought in…</source>
        <translation>
            <numerusform>One song waits to be brought in…</numerusform>
            <numerusform>%n songs wait to be brought in…</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>mivanta::LiveInService</name>
    <message numerus="yes">
        <source>%1 and %n more</source>
        <comment>names of items</comment>
        <translation>
            <numerusform>%1 and %n more</numerusform>
            <numerusform>%1 and %n more</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>mivanta::LiveInputs</name>
    <message numerus="yes">
        <source>there are %n live inputs already, and no more can be kept</source>
        <translation>
            <numerusform>there is %n live input already, and no more can be kept</numerusform>
            <numerusform>there are %n live inputs already, and no more can be kept</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>mivanta::LookInService</name>
    <message numerus="yes">
        <source>%n items</source>
        <translation>
            <numerusform>%n item</numerusform>
            <numerusform>%n items</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>mivanta::LoopMembersTable</name>
    <message numerus="yes">
        <source>%n out</source>
        <comment>that are not shown</comment>
        <translation>
            <numerusform>%n out</numerusform>
            <numerusform>%n out</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>mivanta::MainWindow</name>
    <message numerus="yes">
        <source>%n items</source>
        <translation>
            <numerusform>%n item</numerusform>
            <numerusform>%n items</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>mivanta::MediaGrid</name>
    <message numerus="yes">
        <source>and %n more</source>
        <translation>
            <numerusform>and %n more</numerusform>
            <numerusform>and %n more</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>mivanta::MediaLibrary</name>
    <message numerus="yes">
        <source>%n media</source>
        <translation>
            <numerusform>%n medium</numerusform>
            <numerusform>%n media</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n media are in the bin.</source>
        <translation>
            <numerusform>It is in the bin.</numerusform>
            <numerusform>%n media are in the bin.</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>mivanta::MediumPanel</name>
    <message numerus="yes">
        <source>Add %n to the service</source>
        <translation>
            <numerusform>Add it to the service</numerusform>
            <numerusform>Add %n to the service</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>this service (%n times)</source>
        <translation>
            <numerusform>this service</numerusform>
            <numerusform>this service (%n times)</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>mivanta::MissingPanel</name>
    <message numerus="yes">
        <source>%n files are not on this computer</source>
        <translation>
            <numerusform>A file is not on this computer</numerusform>
            <numerusform>%n files are not on this computer</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>mivanta::OrderAdding</name>
    <message numerus="yes">
        <source>adding %n items</source>
        <translation>
            <numerusform>adding %n item</numerusform>
            <numerusform>adding %n items</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>choosing %n items</source>
        <translation>
            <numerusform>choosing %n item</numerusform>
            <numerusform>choosing %n items</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>adding %n items from a list</source>
        <translation>
            <numerusform>adding %n item from a list</numerusform>
            <numerusform>adding %n items from a list</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>mivanta::OrderEdit</name>
    <message numerus="yes">
        <source>%1, %n times</source>
        <translation>
            <numerusform>%1, %n time</numerusform>
            <numerusform>%1, %n times</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>and %n more</source>
        <translation>
            <numerusform>and %n more</numerusform>
            <numerusform>and %n more</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>mivanta::OrderModel</name>
    <message numerus="yes">
        <source>bringing %n items from another service</source>
        <translation>
            <numerusform>bringing %n item from another service</numerusform>
            <numerusform>bringing %n items from another service</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>every %n rounds</source>
        <translation>
            <numerusform>every round</numerusform>
            <numerusform>every %n rounds</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>mivanta::OrderSheet</name>
    <message numerus="yes">
        <source>pasting %n items</source>
        <translation>
            <numerusform>pasting %n item</numerusform>
            <numerusform>pasting %n items</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n items</source>
        <translation>
            <numerusform>%n item</numerusform>
            <numerusform>%n items</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n slides</source>
        <translation>
            <numerusform>%n slide</numerusform>
            <numerusform>%n slides</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>mivanta::PasteOrder</name>
    <message numerus="yes">
        <source>%n lines, all certain</source>
        <translation>
            <numerusform>One line, certain</numerusform>
            <numerusform>%n lines, all certain</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%1, %n to look at</source>
        <translation>
            <numerusform>%1, one to look at</numerusform>
            <numerusform>%1, %n to look at</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n lines</source>
        <translation>
            <numerusform>%n line</numerusform>
            <numerusform>%n lines</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>mivanta::PastedLines</name>
    <message numerus="yes">
        <source>%n lines were pasted. Find looks for the first one.</source>
        <translation>
            <numerusform>%n line was pasted. Find looks for it.</numerusform>
            <numerusform>%n lines were pasted. Find looks for the first one.</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>mivanta::PrepareDesk</name>
    <message numerus="yes">
        <source>%n items</source>
        <translation>
            <numerusform>%n item</numerusform>
            <numerusform>%n items</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n slides</source>
        <translation>
            <numerusform>%n slide</numerusform>
            <numerusform>%n slides</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>mivanta::ReadingPanel</name>
    <message numerus="yes">
        <source>%1, %n slides more</source>
        <translation>
            <numerusform>%1, %n slide more</numerusform>
            <numerusform>%1, %n slides more</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>That is the worst of %n moments of the film.</source>
        <translation>
            <numerusform>That is the one moment of the film.</numerusform>
            <numerusform>That is the worst of %n moments of the film.</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>mivanta::ReferenceHelp</name>
    <message numerus="yes">
        <source>%n slides</source>
        <translation>
            <numerusform>%n slide</numerusform>
            <numerusform>%n slides</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>mivanta::ScriptureLibrary</name>
    <message numerus="yes">
        <source>%n verses found, and there are more</source>
        <translation>
            <numerusform>one verse found, and there are more</numerusform>
            <numerusform>%n verses found, and there are more</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n verses found</source>
        <translation>
            <numerusform>one verse found</numerusform>
            <numerusform>%n verses found</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>mivanta::ScriptureReview</name>
    <message numerus="yes">
        <source>“%1” (line %2, %n verses)</source>
        <translation>
            <numerusform>“%1” (line %2, %n verse)</numerusform>
            <numerusform>“%1” (line %2, %n verses)</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%1: %n verses can be read.</source>
        <translation>
            <numerusform>%1: %n verse can be read.</numerusform>
            <numerusform>%1: %n verses can be read.</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>mivanta::Sender</name>
    <message numerus="yes">
        <source>%n songs were sent to the printer.</source>
        <translation>
            <numerusform>%n song was sent to the printer.</numerusform>
            <numerusform>%n songs were sent to the printer.</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n files were written into %1.</source>
        <translation>
            <numerusform>%n file was written into %1.</numerusform>
            <numerusform>%n files were written into %1.</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>mivanta::ServiceDocument</name>
    <message numerus="yes">
        <source>copies of %n items</source>
        <translation>
            <numerusform>a copy of %n item</numerusform>
            <numerusform>copies of %n items</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>removing %n items</source>
        <translation>
            <numerusform>removing %n item</numerusform>
            <numerusform>removing %n items</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>moving %n items</source>
        <translation>
            <numerusform>moving %n item</numerusform>
            <numerusform>moving %n items</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>grouping %n items</source>
        <translation>
            <numerusform>grouping %n item</numerusform>
            <numerusform>grouping %n items</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>choosing %n items anew</source>
        <translation>
            <numerusform>choosing anew</numerusform>
            <numerusform>choosing %n items anew</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>other pictures in place of %n</source>
        <translation>
            <numerusform>another picture in its place</numerusform>
            <numerusform>other pictures in place of %n</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>putting %n items into a loop</source>
        <translation>
            <numerusform>putting %n item into a loop</numerusform>
            <numerusform>putting %n items into a loop</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>mivanta::SeveralSongs</name>
    <message numerus="yes">
        <source>%n songs chosen</source>
        <translation>
            <numerusform>%n song chosen</numerusform>
            <numerusform>%n songs chosen</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%1 and %n more</source>
        <translation>
            <numerusform>%1 and %n more</numerusform>
            <numerusform>%1 and %n more</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n songs</source>
        <translation>
            <numerusform>%n song</numerusform>
            <numerusform>%n songs</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>Undone for %1 of %n songs; the others have been changed since.</source>
        <translation>
            <numerusform>Undone for %1 of %n song; the others have been changed since.</numerusform>
            <numerusform>Undone for %1 of %n songs; the others have been changed since.</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n songs are in the bin.</source>
        <translation>
            <numerusform>%n song is in the bin.</numerusform>
            <numerusform>%n songs are in the bin.</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n songs are in the bin. Ctrl+Z takes them back.</source>
        <translation>
            <numerusform>%n song is in the bin. Ctrl+Z takes it back.</numerusform>
            <numerusform>%n songs are in the bin. Ctrl+Z takes them back.</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>mivanta::SungFacts</name>
    <message numerus="yes">
        <source>Sung %n times, last on %1</source>
        <translation>
            <numerusform>Sung once, on %1</numerusform>
            <numerusform>Sung %n times, last on %1</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>mivanta::Supplies</name>
    <message numerus="yes">
        <source>%n missing files were found and are in the library now.</source>
        <translation>
            <numerusform>A missing file was found and is in the library now.</numerusform>
            <numerusform>%n missing files were found and are in the library now.</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n files came with the service and are in the library now.</source>
        <translation>
            <numerusform>A file came with the service and is in the library now.</numerusform>
            <numerusform>%n files came with the service and are in the library now.</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>mivanta::TranslationsColumn</name>
    <message numerus="yes">
        <source>%n books</source>
        <translation>
            <numerusform>%n book</numerusform>
            <numerusform>%n books</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n verses</source>
        <translation>
            <numerusform>%n verse</numerusform>
            <numerusform>%n verses</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n places were read another way than written, the first: %1, line %2: %3.</source>
        <translation>
            <numerusform>%n place was read another way than written: %1, line %2: %3.</numerusform>
            <numerusform>%n places were read another way than written, the first: %1, line %2: %3.</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>mivanta::WordsPreview</name>
    <message numerus="yes">
        <source>%n slides</source>
        <translation>
            <numerusform>%n slide</numerusform>
            <numerusform>%n slides</numerusform>
        </translation>
    </message>
</context>
</TS>
